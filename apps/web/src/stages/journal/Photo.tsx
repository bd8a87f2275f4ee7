import { useEffect, useState } from 'react';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { pictureAddress } from '../../rooms/drawing/faces.tsx';
import type { Thunk } from '../../sync/thunk.ts';

const fileOf =
  (id: string): Thunk<Promise<Blob | null>> =>
  async (_dispatch, _getState, { outbox }) => {
    const item = (await outbox.items()).find((one) => one.id === id);
    return item?.kind === 'picture' ? item.file : null;
  };

/** A photo of a note, to be opened large: the server's, or this browser's own while it waits to be sent. */
export function Photo({ id, alt }: { id: string; alt: string }) {
  const waits = useAppSelector((s) => s.outbox.items.some((item) => item.id === id));
  const dispatch = useAppDispatch();
  const [own, setOwn] = useState<string | null>(null);
  useEffect(() => {
    if (!waits) return;
    let [here, made] = [true, ''];
    void dispatch(fileOf(id)).then((file) => {
      if (!here || !file) return;
      made = URL.createObjectURL(file);
      setOwn(made);
    });
    return () => {
      here = false;
      URL.revokeObjectURL(made);
    };
  }, [waits, id, dispatch]);
  const address = waits ? own : pictureAddress(id);
  if (address === null) return null;
  return (
    <a href={address} target="_blank" rel="noreferrer">
      <img src={address} alt={waits ? `${alt}, waiting to be sent` : alt} />
    </a>
  );
}
