import { type CutTo, numberOf, type Plan } from '@lattice/core';
import { Camera, FileDown, ImageUp, SkipForward } from 'lucide-react';
import { FileTrigger } from 'react-aria-components';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { useAppDispatch } from '../../sync/thunk.ts';
import { writeExport } from '../taking/taking.ts';
import { CORNERS, PLACES, pointsAtBlock } from './corners.ts';
import { HowToLay } from './HowToLay.tsx';
import { isOpen, Measurement } from './Measurement.tsx';
import { Body } from './PhotoSheet.styles.ts';
import { PointBoard } from './PointBoard.tsx';
import { ReferenceChoice } from './ReferenceChoice.tsx';
import { TableBoard } from './TableBoard.tsx';
import { type PhotoSizes, usePhotoSheet } from './usePhotoSheet.ts';

interface PhotoSheetProps {
  readonly plan: Plan;
  readonly cut: CutTo;
  readonly onMeasured: (id: string, sizes: PhotoSizes) => void;
  readonly onClose: () => void;
}

type AtDesk = ReturnType<typeof usePhotoSheet>;

/** Blocks measured by photos, one after another: each straightened, its corners to be checked, its sizes taken at a press. */
export function PhotoSheet({ plan, cut, onMeasured, onClose }: PhotoSheetProps) {
  const desk = usePhotoSheet(plan, onMeasured);
  const { on, photo, measured, block, waiting } = desk;
  const { unit } = plan;
  return (
    <Sheet title="Measure by photo" width={1180} isOpen onClose={onClose}>
      <Body>
        <div>
          {!photo && <HowToLay />}
          {photo && measured && (
            <TableBoard measured={measured} unit={unit} onMove={desk.move} ask={desk.ask} />
          )}
          {photo && !measured && !on?.busy && <Pointing desk={desk} picture={photo.picture} />}
          <p className="state" role="status">
            {on?.busy ? `Measuring ${on.name}…` : desk.said}
            {waiting > 0 && ` ${numberOf(waiting, 'photo')} more in the row.`}
          </p>
        </div>
        <div>
          <ChoosePhotos desk={desk} />
          <ReferenceChoice value={desk.by} unit={unit} onChange={desk.measureBy} />
          {!photo && <PrintTheSheet />}
          {on?.wrong && (
            <p className="wrong" role="alert">
              {on.wrong}
            </p>
          )}
          {measured && (
            <>
              <ChoiceField
                label="This is"
                labelled
                value={block?.id ?? ''}
                choices={plan.pile.map(({ id, name, width }) => ({
                  id,
                  name: width === null ? `${name}, not measured` : name,
                }))}
                onChange={desk.choose}
              />
              <Measurement {...{ plan, cut, measured, block }} moved={on?.moved ?? false} />
              <SwitchField
                label="Its face as the block’s picture"
                value={desk.keeps}
                onChange={desk.setKeeps}
              />
              <div className="acts">
                <Button
                  look="main"
                  isDisabled={!block || isOpen(measured)}
                  onPress={() => void desk.takeSizes()}
                >
                  {block ? `Take these for ${block.name}` : 'There are no blocks'}
                </Button>
                <Button onPress={desk.skip}>
                  <SkipForward size={15} aria-hidden />
                  Not this one
                </Button>
              </div>
            </>
          )}
        </div>
      </Body>
    </Sheet>
  );
}

/** A photo that could not be measured by itself: four places are pointed at. */
function Pointing({ desk, picture }: { desk: AtDesk; picture: ImageBitmap }) {
  const atBlock = pointsAtBlock(desk.on);
  return (
    <>
      <PointBoard
        picture={picture}
        says={`The photo ${desk.on?.name ?? ''}`}
        points={desk.corners}
        names={atBlock ? CORNERS : PLACES}
        step={0.1 * desk.scale}
        onMove={desk.moveCorner}
        near={desk.nearPhoto}
      />
      <div className="acts">
        <Button look="main" onPress={desk.measurePointed}>
          {atBlock ? 'Measure between these corners' : 'Measure by these four points'}
        </Button>
      </div>
    </>
  );
}

const ChoosePhotos = ({ desk: { photo, begin } }: { desk: AtDesk }) => (
  <div className="acts">
    <FileTrigger acceptedFileTypes={['image/*']} allowsMultiple onSelect={(files) => void begin(files)}>
      <Button look={photo ? 'plain' : 'main'} autoFocus>
        <ImageUp size={15} aria-hidden />
        Choose photos
      </Button>
    </FileTrigger>
    <FileTrigger
      acceptedFileTypes={['image/*']}
      defaultCamera="environment"
      onSelect={(files) => void begin(files)}
    >
      <Button>
        <Camera size={15} aria-hidden />
        Take one
      </Button>
    </FileTrigger>
  </div>
);

/** The sheet a block is laid on, for either paper. */
function PrintTheSheet() {
  const dispatch = useAppDispatch();
  const print = (paper: 'a4' | 'letter') => async () => {
    const { takeaway } = await import('@lattice/export');
    const sheet = takeaway('pdf', 'measuring-sheet');
    if (sheet) await dispatch(writeExport(sheet, { paper, comma: false }));
  };
  return (
    <div className="acts">
      <Button onPress={print('letter')}>
        <FileDown size={15} aria-hidden />
        Print the sheet, Letter
      </Button>
      <Button onPress={print('a4')}>
        <FileDown size={15} aria-hidden />
        Print the sheet, A4
      </Button>
    </div>
  );
}
