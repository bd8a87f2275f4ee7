import { BLOCK_VALUES, blockValue, capital, FACE_NAMES, type FaceName, type PileBlock } from '@lattice/core';
import { ImagePlus, Plus, Trash2, X } from 'lucide-react';
import { FileTrigger, Input, Label, TextField } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { sendPicture } from '../../sync/pictures.ts';
import { BlockArt } from '../../rooms/drawing/faces.tsx';
import { small } from '../../design/media.ts';

const Halves = styled.div`
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr);
  gap: 20px;
  .face {
    width: 200px;
    height: 200px;
    border: 1px solid var(--line);
    border-radius: 8px;
    overflow: hidden;
  }
  .face svg {
    display: block;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 10px;
  }
  [role='alert'] {
    margin-top: 8px;
    font-size: var(--size-note);
    color: var(--wrong);
  }
  .note {
    margin-top: 8px;
    font-size: var(--size-note);
    color: var(--soft);
  }
  ${small} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Text = styled(TextField)`
  display: grid;
  grid-template-columns: 1fr 200px;
  align-items: center;
  padding: 5px 0;
  font-size: var(--size-text);
  input {
    height: 34px;
    padding: 0 8px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--field);
  }
  ${small} {
    grid-template-columns: 1fr;
  }
`;
const Colours = styled.div`
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 6px 0;
  font-size: var(--size-text);
  > span:first-child {
    margin-right: auto;
  }
  input {
    width: 34px;
    height: 34px;
    padding: 0;
    border: 1px solid var(--line);
    border-radius: 7px;
    background: none;
    cursor: pointer;
  }
`;

const FACES = [{ id: 'none', name: 'None' }, ...FACE_NAMES.map((id) => ({ id, name: capital(id) }))];

interface BlockSheetProps {
  readonly block: PileBlock;
  readonly onChange: (change: { [K in keyof PileBlock]?: PileBlock[K] | undefined }) => void;
  readonly onRemove: () => void;
  readonly onClose: () => void;
}

/** One block: its picture or drawn face, colours, value, and what has to be minded when it is laid or trimmed. */
export function BlockSheet({ block, onChange, onRemove, onClose }: BlockSheetProps) {
  const quilt = useAppSelector((s) => s.saving.id)!;
  const dispatch = useAppDispatch();
  const { items, message, pictureNotes } = useAppSelector((s) => s.outbox);
  const waiting = items.find((item) => item.kind === 'picture' && item.block === block.id);
  const isLoading = waiting !== undefined && waiting.refused === undefined;
  const problem = waiting?.refused ?? (isLoading ? message : null);
  const notes = pictureNotes[block.id] ?? [];
  const colours = block.colours ?? [];
  const judged = blockValue({ colours });
  const value = judged > 0.7 ? 'light' : judged < 0.4 ? 'dark' : 'medium';
  const take = (files: FileList | null) => {
    const file = files?.[0];
    if (file) void dispatch(sendPicture(block.id, file));
  };
  return (
    <Sheet title={block.name} width={640} isOpen onClose={onClose}>
      <Halves>
        <div>
          <div className="face">
            <BlockArt block={block} />
          </div>
          <div className="ways">
            <FileTrigger
              acceptedFileTypes={['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/gif']}
              onSelect={take}
            >
              <Button isDisabled={isLoading}>
                <ImagePlus size={15} aria-hidden />
                {isLoading ? 'Taking it in…' : block.picture ? 'Another picture' : 'Add a picture'}
              </Button>
            </FileTrigger>
            {block.picture && (
              <Button look="quiet" onPress={() => onChange({ picture: undefined, edge: undefined })}>
                <X size={15} aria-hidden />
                No picture
              </Button>
            )}
          </div>
          {problem && <p role="alert">{problem}</p>}
          {notes.map((note) => (
            <p className="note" key={note} role="status">
              {note}
            </p>
          ))}
        </div>
        <div>
          <Text
            defaultValue={block.kind ?? ''}
            maxLength={60}
            onBlur={(event) =>
              onChange({ kind: (event.target as HTMLInputElement).value.trim() || undefined })
            }
          >
            <Label>Kind of block</Label>
            <Input />
          </Text>
          <ChoiceField
            label="Drawn face"
            labelled
            value={block.face ?? 'none'}
            choices={FACES}
            onChange={(face) => onChange({ face: face === 'none' ? undefined : (face as FaceName) })}
          />
          <Colours>
            <span>Main colours</span>
            {colours.map((colour, i) => (
              <input
                key={i}
                type="color"
                aria-label={`Main colour ${i + 1}`}
                value={colour}
                onChange={(event) =>
                  onChange({ colours: colours.map((c, at) => (at === i ? event.target.value : c)) })
                }
              />
            ))}
            {colours.length > 0 && (
              <Button
                look="quiet"
                aria-label="Take a colour off"
                onPress={() => onChange({ colours: colours.length === 1 ? undefined : colours.slice(0, -1) })}
              >
                <X size={15} aria-hidden />
              </Button>
            )}
            {colours.length < 3 && (
              <Button
                look="quiet"
                aria-label="Add a colour"
                onPress={() => onChange({ colours: [...colours, '#8a8f98'] })}
              >
                <Plus size={15} aria-hidden />
              </Button>
            )}
          </Colours>
          <ChoiceField
            label="Value"
            labelled
            value={block.value ?? 'auto'}
            choices={[
              { id: 'auto', name: `${capital(value)}, by its colours` },
              ...BLOCK_VALUES.map((id) => ({ id, name: capital(id) })),
            ]}
            onChange={(next) =>
              onChange({ value: next === 'auto' ? undefined : (next as PileBlock['value']) })
            }
          />
          <SwitchField
            label="One-way print: keep it upright"
            value={block.upright === true}
            onChange={(on) => onChange({ upright: on || undefined })}
          />
          <SwitchField
            label="Points reach its seam line"
            value={block.points === true}
            onChange={(on) => onChange({ points: on || undefined })}
          />
          <p className="note">
            <Link to={`/quilts/${quilt}/journal?about=${encodeURIComponent(`block:${block.id}`)}`}>
              A note on this block
            </Link>
          </p>
          <div style={{ marginTop: 14, display: 'flex', gap: 8, justifyContent: 'flex-end' }}>
            <Button look="quiet" onPress={onRemove}>
              <Trash2 size={15} aria-hidden />
              Remove from the pile
            </Button>
            <Button look="main" onPress={onClose}>
              Done
            </Button>
          </div>
        </div>
      </Halves>
    </Sheet>
  );
}
