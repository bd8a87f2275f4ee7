import { formatSize, numberOf, settingOf } from '@lattice/core';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { newId } from '../../browser/tabs.ts';
import { withBlock, withoutBlocks } from '../../state/pileEdits.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { beginWithBlocks } from './beginWithBlocks.ts';
import { makeQuilt } from './makeQuilt.ts';

const Offers = styled.div`
  margin-top: 8px;
  font-size: var(--size-text);
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin-top: 6px;
  }
  .said {
    margin-top: 6px;
    font-size: var(--size-note);
    color: var(--soft);
  }
`;

/** Blocks that no place takes: counted, and offered to the back, the label and the next quilt. */
export function SpareOffers() {
  const plan = useAppSelector(selectPlan);
  const { pile, layers } = useAppSelector(selectQuilt);
  const { id } = useParams() as { id: string };
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  /** What was begun with spare blocks, and of which quilt they were. */
  const [last, setBegun] = useState<{ id: string; of: string; blocks: number } | null>(null);
  const begun = last?.of === id ? last : null;
  const { spare } = pile;
  const label = plan.pile.find((block) => block.label);
  const back = plan.backing.way === 'stripe' && plan.backing.stripe.of === 'blocks';
  if ((spare.length === 0 && !label && !begun) || settingOf(plan.setting.kind).whole) return null;
  const next = async () => {
    const title = `Blocks over from ${plan.title}`.slice(0, 112);
    const begun = await dispatch(makeQuilt(beginWithBlocks(plan, spare, title, newId)));
    edit((p) =>
      withoutBlocks(
        p,
        spare.map((block) => block.id),
      ),
    );
    setBegun({ id: begun, of: id, blocks: spare.length });
  };
  return (
    <Offers role="group" aria-label="Spare blocks">
      {spare.length > 0 && (
        <>
          <p>
            <b>
              {pile.needed} used, {spare.length} spare
            </b>{' '}
            of <Lengths text={formatSize(plan.block.width, plan.block.height, plan.unit)} /> finished.
          </p>
          <div className="ways">
            {layers && (
              <Button
                isDisabled={back}
                onPress={() => {
                  edit((p) => ({
                    ...p,
                    backing: { ...p.backing, way: 'stripe', stripe: { ...p.backing.stripe, of: 'blocks' } },
                  }));
                  void navigate(`/quilts/${id}/layers`);
                }}
              >
                {back ? 'Let into the back' : 'Let them into the back'}
              </Button>
            )}
            {!label && (
              <Button onPress={() => edit((p) => withBlock(p, spare[0]!.id, { label: true }))}>
                Keep one for the label
              </Button>
            )}
            <Button onPress={() => void next()}>Begin the next quilt with them</Button>
          </div>
        </>
      )}
      {label && (
        <p className="said">
          {label.name} is kept for the label.{' '}
          <Button look="quiet" onPress={() => edit((p) => withBlock(p, label.id, { label: undefined }))}>
            Lay it out again
          </Button>
        </p>
      )}
      {begun && (
        <p className="said" role="status">
          {numberOf(begun.blocks, 'block')} went to a quilt of their own on the shelf.{' '}
          <Link to={`/quilts/${begun.id}`}>Go to it</Link>
        </p>
      )}
    </Offers>
  );
}
