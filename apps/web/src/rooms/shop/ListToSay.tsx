import { boughtIn, formatWithUnit, longer, spokenCut, spokenList } from '@lattice/core';
import { Copy, Printer, Share2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Section } from '../figures/Section.tsx';
import { writeLog } from '../../sync/outbox/writeLog.ts';
import { selectPlan, selectToBuy } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { Tick } from '../../design/controls/Tick.tsx';

const Lines = styled.ul`
  > li {
    padding: 4px 0;
    font-size: var(--size-read);
  }
  .home {
    padding-left: 30px;
    font-size: var(--size-text);
  }
  .short {
    color: var(--wrong);
    font-weight: 600;
  }
`;
const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  margin-top: 4px;
  font-size: var(--size-note);
  color: var(--soft);
`;

/** The list as one says it at the counter: copied, shared, printed, ticked in the shop; and what was really brought home. */
export function ListToSay() {
  const plan = useAppSelector(selectPlan);
  const fabrics = useAppSelector(selectToBuy);
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id)!;
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const [said, setSaid] = useState('');
  const { unit } = plan;
  const bought = useMemo(() => boughtIn(log, id, unit), [log, id, unit]);
  // What was brought home stays on the list, ticked.
  const wanted = fabrics.filter(({ fabric, buy }) => buy.length.value > 0 || bought.has(fabric.id));
  const text = spokenList(fabrics, unit).join('\n');
  const home = (cloth: string, width: number, length: number) => {
    void dispatch(writeLog([{ kind: 'bought', body: { cloth, unit, width, length } }]));
    // The plan follows the width that was really bought.
    return edit((p) => ({
      ...p,
      fabrics: p.fabrics.map((f) => (f.id === cloth ? { ...f, usableWidth: width } : f)),
    }));
  };
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text);
      setSaid('The list is copied.');
    } catch {
      setSaid('This browser does not let the list be copied; print it instead.');
    }
  };
  if (wanted.length === 0) return null;
  return (
    <Section title="As you say it at the counter">
      <Lines data-testid="spoken-list">
        {wanted.map(({ fabric, buy, needed }) => {
          const got = bought.get(fabric.id);
          return (
            <li key={fabric.id}>
              <Tick
                done
                isSelected={got !== undefined}
                onChange={(on) =>
                  on
                    ? void home(fabric.id, fabric.usableWidth, buy.length.value)
                    : void dispatch(writeLog([{ kind: 'bought-not', body: { cloth: fabric.id } }]))
                }
              >
                {got && buy.length.value <= 0
                  ? formatWithUnit(got.length, unit)
                  : `${spokenCut(buy, unit)}${got ? ' more' : ''}`}{' '}
                of the {fabric.name.toLowerCase()}
              </Tick>
              {got && (
                <div className="home">
                  <LengthField
                    label="Brought home, length"
                    value={got.length}
                    unit={unit}
                    onCommit={(length) => home(fabric.id, got.width, length)}
                  />
                  <LengthField
                    label="Usable width of it"
                    value={got.width}
                    unit={unit}
                    step={unit === 'in' ? 0.5 : 1}
                    onCommit={(width) => home(fabric.id, width, got.length)}
                  />
                  {longer(needed.value, 0) && (
                    <p className="short" role="alert">
                      <Lengths
                        text={`That is ${formatWithUnit(needed.value, unit)} too little, with its end squared: ask for ${buy.text} more.`}
                      />
                    </p>
                  )}
                </div>
              )}
            </li>
          );
        })}
      </Lines>
      <Tools>
        <Button look="quiet" onPress={() => void copy()}>
          <Copy size={15} aria-hidden /> Copy
        </Button>
        {'share' in navigator && (
          <Button
            look="quiet"
            onPress={() => void navigator.share({ title: plan.title, text }).catch(() => undefined)}
          >
            <Share2 size={15} aria-hidden /> Share
          </Button>
        )}
        <Button look="quiet" onPress={() => globalThis.print()}>
          <Printer size={15} aria-hidden /> Print
        </Button>
        <span role="status">{said}</span>
      </Tools>
    </Section>
  );
}
