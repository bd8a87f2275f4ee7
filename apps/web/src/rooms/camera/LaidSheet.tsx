import type { Layout, Plan, WallPlace } from '@lattice/core';
import type { ReadLayout } from '@lattice/photo';
import { ImageUp } from 'lucide-react';
import { FileTrigger } from 'react-aria-components';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { hasBetween, wallAsRead } from './laid.ts';
import { saysOfRead, toldOf } from './laidRead.ts';
import { Body } from './LaidSheet.styles.ts';
import { PointBoard } from './PointBoard.tsx';
import { ReadPicture } from './ReadPicture.tsx';
import { useLaidSheet } from './useLaidSheet.ts';

interface LaidSheetProps {
  readonly plan: Plan;
  readonly layout: Layout;
  readonly onTake: (places: readonly WallPlace[]) => void;
  readonly onClose: () => void;
}

type AtLaid = ReturnType<typeof useLaidSheet>;

/** A layout on floor or bed, read from one photo: what lies where, what differs from the wall, and onto the wall at a press. */
export function LaidSheet({ plan, layout, onTake, onClose }: LaidSheetProps) {
  const laid = useLaidSheet(plan, layout);
  const { photo, read, busy, points } = laid;
  return (
    <Sheet title="The layout, from a photo" width={1180} isOpen onClose={onClose}>
      <Body>
        <div>
          {!photo && (
            <p className="empty">
              Lay the blocks out on the floor or the bed, stand so that all of them are in the photo, and drop
              it here.
            </p>
          )}
          {photo && !read && (
            <PointBoard
              picture={photo.picture}
              says="The photo of the layout"
              points={laid.corners}
              names={points.names}
              step={laid.scale}
              onMove={laid.moveCorner}
              near={laid.closeUp}
            />
          )}
          {photo && read && (
            <ReadPicture picture={photo.picture} scale={laid.scale} read={read} others={laid.others} />
          )}
        </div>
        <div>
          <div className="acts">
            <FileTrigger acceptedFileTypes={['image/*']} onSelect={(files) => void laid.begin(files)}>
              <Button look={photo ? 'plain' : 'main'} autoFocus>
                <ImageUp size={15} aria-hidden />
                Choose a photo
              </Button>
            </FileTrigger>
          </div>
          {laid.wrong && (
            <p className="wrong" role="alert">
              {laid.wrong}
            </p>
          )}
          {hasBetween(layout) && !read && (
            <SwitchField
              label="Blocks lie edge to edge, no sashes"
              value={laid.edgeToEdge}
              onChange={laid.setEdgeToEdge}
            />
          )}
          {photo && !read && (
            <>
              <p className="says">{points.says}</p>
              <div className="acts">
                <Button look="main" isDisabled={busy} onPress={laid.look}>
                  {busy ? 'Reading…' : 'Read what lies where'}
                </Button>
              </div>
            </>
          )}
          {read && (
            <>
              <p className="says" role="status">
                {saysOfRead(read, laid.others)}
              </p>
              <ul aria-label="What differs" tabIndex={0}>
                {toldOf(read, laid.others).map((place) => (
                  <Told key={place} plan={plan} laid={laid} read={read} place={place} />
                ))}
              </ul>
              <div className="acts">
                <Button
                  look="main"
                  isDisabled={laid.others.size === 0}
                  onPress={() => onTake(wallAsRead(plan, layout, laid.wall, read))}
                >
                  Put it on the wall
                </Button>
                <Button onPress={laid.again}>Point again</Button>
              </div>
            </>
          )}
        </div>
      </Body>
    </Sheet>
  );
}

interface ToldProps {
  readonly plan: Plan;
  readonly laid: AtLaid;
  readonly read: ReadLayout;
  readonly place: number;
}

/** One place that differs or is unsure: what lies there, or which of a few it is. */
function Told({ plan, laid, read, place }: ToldProps) {
  const [there, label] = [read.places[place], laid.labels[place]];
  if (!there || !label) return null;
  const name = (block: number | null) =>
    (block === null ? undefined : plan.pile[block]?.name) ?? 'nothing of the pile';
  const was = laid.now[place]?.block ?? null;
  const where = `Row ${label.row}, place ${label.number}`;
  if (!there.unsure)
    return (
      <li data-unsure={false}>
        {there.block === was
          ? `${where}: ${name(there.block)} is rotated differently`
          : `${where}: ${name(there.block)}, on the wall ${name(was)}`}
      </li>
    );
  const maybe = [...new Set([there.block, ...there.others, was])].filter((b) => b !== null);
  return (
    <li data-unsure>
      <ChoiceField
        label={`${where}: unsure`}
        labelled
        value={there.block === null ? 'none' : String(there.block)}
        choices={[
          ...maybe.map((b) => ({ id: String(b), name: name(b) })),
          { id: 'none', name: 'None of the pile' },
        ]}
        onChange={(block) => laid.choose(place, block === 'none' ? null : Number(block))}
      />
    </li>
  );
}
