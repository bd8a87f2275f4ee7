import { useCallback, useRef } from 'react';
import { useNavigate, useSearchParams } from 'react-router';

/**
 * The leaf of a panel that lies open, kept in the address, so that back, forward and reload return to it. The first is
 * open where the address names none.
 */
export function useLeaf<const L extends string>(leaves: readonly [L, ...L[]]): [L, (leaf: string) => void] {
  const [params, setParams] = useSearchParams();
  const open = leaves.find((leaf) => leaf === params.get('leaf')) ?? leaves[0];
  const [first] = leaves;
  const set = useCallback(
    (leaf: string) =>
      setParams((had) => {
        const next = new URLSearchParams(had);
        if (leaf === first) next.delete('leaf');
        else next.set('leaf', leaf);
        return next;
      }),
    [setParams, first],
  );
  return [open, set];
}

/**
 * Whether a sheet lies open, and with what, kept in the address. Closing one that was opened here goes back to where one
 * was; one that was come to by its address is taken off it.
 */
export function useSheet(name: string): {
  /** What it was opened with; null while it is closed. */
  readonly open: string | null;
  readonly show: (what?: string) => void;
  readonly close: () => void;
} {
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const shownHere = useRef(false);
  const [of, ...what] = (params.get('sheet') ?? '').split(' ');
  const show = useCallback(
    (with_ = '') => {
      shownHere.current = true;
      setParams((had) => {
        const next = new URLSearchParams(had);
        next.set('sheet', with_ === '' ? name : `${name} ${with_}`);
        return next;
      });
    },
    [setParams, name],
  );
  const close = useCallback(() => {
    if (shownHere.current) {
      shownHere.current = false;
      void navigate(-1);
      return;
    }
    setParams(
      (had) => {
        const next = new URLSearchParams(had);
        next.delete('sheet');
        return next;
      },
      { replace: true },
    );
  }, [setParams, navigate]);
  return { open: of === name ? what.join(' ') : null, show, close };
}
