import { House } from '../house.ts';
import { behindItsBack, used } from './used.ts';

let parcel: Promise<Buffer> | null = null;
/** The shelf of another house: three quilts under other names, with journals and a picture. */
export function theirParcel(): Promise<Buffer> {
  return (parcel ??= (async () => {
    const folder = await used();
    behindItsBack(
      folder,
      ["update quilts set id = 'their-' || id, plan = replace(plan, 'picture-of-one', 'picture-of-them')"],
      ["update log_entries set quilt = 'their-' || quilt, id = 'their-' || id"],
      ["update pictures set id = 'picture-of-them' where id = 'picture-of-one'"],
    );
    const house = await new House(folder).start();
    const { bytes } = await house.ask('GET', '/api/shelf.zip');
    await house.clear();
    return bytes;
  })());
}
