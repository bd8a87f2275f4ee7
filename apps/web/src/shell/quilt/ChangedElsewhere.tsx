import type { StoredQuilt } from '@lattice/contract';
import {
  type BothChanged,
  changesBetween,
  computeQuilt,
  mergePlans,
  nameOfField,
  type Plan,
  sayValue,
  withTheirs,
} from '@lattice/core';
import { useMemo, useState } from 'react';
import { Label, Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { cardStates } from '../../design/cardStyles.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { keepMine, savedInWords, settle, takeTheirs } from '../../sync/settling.ts';
import { selectPlan } from '../../state/selectors.ts';
import { small } from '../../design/media.ts';

const Body = styled.div`
  font-size: var(--size-text);
  > p {
    color: var(--soft);
    margin-bottom: 12px;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 16px;
  }
  [role='alert'] {
    color: var(--wrong);
  }
`;
const Choice = styled(RadioGroup)`
  margin-top: 14px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
  > span {
    font-weight: 650;
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px;
    margin-top: 8px;
    ${small} {
      grid-template-columns: 1fr;
    }
  }
`;
const Way = styled(Radio)`
  ${cardStates}
  display: block;
  padding: 10px 12px;
  strong {
    display: block;
  }
  li {
    font-size: var(--size-note);
    color: var(--soft);
  }
`;

/** So many of the changes downstream are listed. */
const LISTED = 4;

/** What a choice does to the quilt, line by line: what would be cut, sewn and bought otherwise. */
function effectOf(from: Plan, to: Plan): string[] {
  const changes = changesBetween(computeQuilt(from), computeQuilt(to), to.unit);
  const lines = changes.slice(0, LISTED).map(({ what, before, after }) => `${what}: ${before} → ${after}`);
  const more = changes.length - lines.length;
  return more > 0 ? [...lines, `and ${more} more`] : lines;
}

/** What a quilt was changed to here and elsewhere, field by field where that can be: both shown, with what each does. */
export function ChangedElsewhere({ theirs }: { theirs: StoredQuilt }) {
  const base = useAppSelector((s) => s.saving.base);
  const mine = useAppSelector(selectPlan);
  const merged = useMemo(() => base && mergePlans(base, mine, theirs.plan), [base, mine, theirs]);
  const [open, setOpen] = useState(true);
  return (
    <>
      {!open && (
        <Button look="main" onPress={() => setOpen(true)}>
          Choose what goes on
        </Button>
      )}
      <Sheet title="Changed in two places" width={680} isOpen={open} onClose={() => setOpen(false)}>
        {merged ? (
          <FieldByField both={merged.both} plan={merged.plan} theirs={theirs} />
        ) : (
          <AsAWhole mine={mine} theirs={theirs} />
        )}
      </Sheet>
    </>
  );
}

function FieldByField({
  both,
  plan,
  theirs,
}: {
  both: readonly BothChanged[];
  plan: Plan;
  theirs: StoredQuilt;
}) {
  const dispatch = useAppDispatch();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [wrong, setWrong] = useState(false);
  const keyOf = ({ path }: BothChanged) => path.join('/');
  const goOn = () => {
    const settled = dispatch(settle(both.filter((field) => chosen.has(keyOf(field)))));
    setWrong(!settled);
  };
  return (
    <Body>
      <p>
        {savedInWords(theirs)}, saved this quilt while you changed it here. Everything only one of you changed
        is put together already. {both.length === 1 ? 'This' : 'These'} you both changed: choose what goes on.
        Undo brings back what you had.
      </p>
      {both.map((field) => (
        <Choice
          key={keyOf(field)}
          value={chosen.has(keyOf(field)) ? 'theirs' : 'mine'}
          onChange={(way) => {
            setWrong(false);
            const next = new Set(chosen);
            if (way === 'theirs') next.add(keyOf(field));
            else next.delete(keyOf(field));
            setChosen(next);
          }}
        >
          <Label>{nameOfField(plan, field)}</Label>
          <div className="two">
            <Way value="mine">
              <strong>
                Here: <Lengths text={sayValue(plan, field, field.mine)} />
              </strong>
            </Way>
            <Way value="theirs">
              <strong>
                There: <Lengths text={sayValue(plan, field, field.theirs)} />
              </strong>
              <Effect plan={plan} field={field} />
            </Way>
          </div>
        </Choice>
      ))}
      {wrong && (
        <p role="alert">These do not go together: the quilt could not be cut. Choose another one of them.</p>
      )}
      <div className="ways">
        <Button look="main" onPress={goOn}>
          Go on with these
        </Button>
      </div>
    </Body>
  );
}

function Effect({ plan, field }: { plan: Plan; field: BothChanged }) {
  const lines = useMemo(() => {
    const other = withTheirs(plan, [field]);
    return other ? effectOf(plan, other) : ['goes only together with another of these'];
  }, [plan, field]);
  if (lines.length === 0) return null;
  return <Lines lines={lines} />;
}

const Lines = ({ lines }: { lines: readonly string[] }) => (
  <ul>
    {lines.map((line) => (
      <li key={line}>
        <Lengths text={line} />
      </li>
    ))}
  </ul>
);

function AsAWhole({ mine, theirs }: { mine: Plan; theirs: StoredQuilt }) {
  const dispatch = useAppDispatch();
  const lines = useMemo(() => effectOf(mine, theirs.plan), [mine, theirs]);
  return (
    <Body>
      <p>
        {savedInWords(theirs)}, saved this quilt while you changed it here, and the two cannot be put together
        field by field. Neither is lost: choose which goes on; undo brings the other back.
      </p>
      {lines.length > 0 && <p>With theirs:</p>}
      <Lines lines={lines} />
      <div className="ways">
        <Button look="main" onPress={() => dispatch(keepMine())}>
          Keep mine
        </Button>
        <Button onPress={() => dispatch(takeTheirs())}>Use theirs</Button>
      </div>
    </Body>
  );
}
