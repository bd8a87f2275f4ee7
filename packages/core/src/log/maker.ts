/** The log's place for what belongs to the maker and to no one quilt: hours, practice. */
export const MAKER = 'maker';
