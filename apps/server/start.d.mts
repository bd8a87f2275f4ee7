export declare const SERVER: readonly string[];
export declare const BACKUP: string;
