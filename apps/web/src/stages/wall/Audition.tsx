import {
  fabricById,
  fabricFor,
  type FabricUse,
  judgeContrast,
  type Layout,
  type PileBlock,
  type Plan,
  withFabric,
} from '@lattice/core';
import { Camera } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import styled from 'styled-components';
import { useSheet } from '../../browser/useInAddress.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { ContrastVerdict } from '../../design/ContrastVerdict.ts';
import { touch } from '../../design/media.ts';

const Cloths = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 4px 0 8px;
  button {
    width: 40px;
    height: 40px;
    border: 2px solid var(--line);
    border-radius: 8px;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-color: var(--ink);
    box-shadow: 0 0 0 2px var(--card) inset;
  }
  input {
    width: 40px;
    height: 40px;
    padding: 0;
    border: 1px dashed var(--soft);
    border-radius: 8px;
    background: none;
    cursor: pointer;
  }
  ${touch} {
    button,
    input {
      width: var(--finger);
      height: var(--finger);
    }
  }
`;
/** What a photo is read with is large, and fetched when one is. */
const SwatchSheet = lazy(async () => ({
  default: (await import('../../rooms/camera/SwatchSheet.tsx')).SwatchSheet,
}));

/** Jobs whose cloth lies beside blocks, as they are named here. */
function jobsOf(plan: Plan, layout: Layout): { id: string; name: string; says: string; use: FabricUse }[] {
  const used = new Set(
    Object.values(layout.parts).flatMap((p) =>
      p.cutFrom
        ? [p.cutFrom.use.what === 'border' ? `border-${p.cutFrom.use.border}` : p.cutFrom.use.what]
        : [],
    ),
  );
  const names = {
    sash: ['Sashes', 'This sash'],
    cornerstone: ['Cornerstones', 'This cornerstone'],
    triangle: ['Setting triangles', 'This triangle cloth'],
    plain: ['Plain blocks', 'This plain block'],
    frame: ['Frame triangles', 'This frame'],
    coping: ['Coping strips', 'This coping strip'],
  } as const;
  return [
    ...Object.entries(names).flatMap(([what, [name, says]]) =>
      used.has(what) ? [{ id: what, name, says, use: { what: what as 'sash' } as FabricUse }] : [],
    ),
    ...plan.borders.flatMap(({ id, pieced }, index) => [
      {
        id: `border-${id}`,
        name: `Border ${index + 1}${pieced ? ', first cloth' : ''}`,
        says: 'This border',
        use: { what: 'border', border: id } as FabricUse,
      },
      ...(pieced
        ? [
            {
              id: `border-second-${id}`,
              name: `Border ${index + 1}, second cloth`,
              says: 'This border',
              use: { what: 'border-second', border: id } as FabricUse,
            },
          ]
        : []),
    ]),
  ];
}

/** A cloth being tried: which job, and a fabric of the plan or any colour. */
export interface Tried {
  readonly use: FabricUse;
  readonly fabric: string | null;
  readonly colour: string;
}

/** The plan with a cloth tried out: another fabric, or the job's own fabric in another colour. */
export function withTried(plan: Plan, { use, fabric, colour }: Tried): Plan {
  if (fabric) return withFabric(plan, use, fabric);
  const taken = new Set(plan.fabrics.map((f) => f.id));
  let n = plan.fabrics.length + 1;
  while (taken.has(`fabric-${n}`)) n++;
  const id = `fabric-${n}`;
  return withFabric(
    {
      ...plan,
      fabrics: [
        ...plan.fabrics,
        { ...fabricById(plan, fabricFor(plan, use)), id, name: `Cloth ${n}`, colour },
      ],
    },
    use,
    id,
  );
}

interface AuditionProps {
  readonly plan: Plan;
  readonly layout: Layout;
  readonly blocks: readonly PileBlock[];
  readonly tried: Tried | null;
  readonly onTry: (tried: Tried | null) => void;
  readonly onTake: () => void;
}

/** Cloths held against the blocks on the wall, one after another, each judged in words. */
export function Audition({ plan, layout, blocks, tried, onTry, onTake }: AuditionProps) {
  const jobs = jobsOf(plan, layout);
  const [chosen, setChosen] = useState(jobs[0]?.id ?? '');
  const photo = useSheet('swatch');
  const job = jobs.find((j) => j.id === chosen) ?? jobs[0];
  if (!job) return null;
  const own = fabricById(plan, fabricFor(plan, job.use));
  const colour = tried?.colour ?? own.colour;
  const contrast = judgeContrast(colour, blocks, job.says);
  return (
    <Section title="Audition a cloth">
      <ChoiceField
        label="For the"
        labelled
        value={job.id}
        choices={jobs}
        onChange={(id) => {
          setChosen(id);
          onTry(null);
        }}
      />
      <Cloths role="group" aria-label="Cloths to try">
        {plan.fabrics.map((f) => (
          <button
            key={f.id}
            type="button"
            aria-label={f.name}
            title={f.name}
            style={{ background: f.colour }}
            aria-pressed={tried ? tried.fabric === f.id : own.id === f.id}
            onClick={() => onTry(f.id === own.id ? null : { use: job.use, fabric: f.id, colour: f.colour })}
          />
        ))}
        <input
          type="color"
          aria-label="Any other colour"
          value={colour}
          onChange={(event) => onTry({ use: job.use, fabric: null, colour: event.target.value })}
        />
      </Cloths>
      <Button onPress={() => photo.show()}>
        <Camera size={15} aria-hidden />
        By camera
      </Button>
      {photo.open !== null && (
        <Suspense fallback={null}>
          <SwatchSheet
            judge={(seen) => judgeContrast(seen, blocks, job.says)}
            onTake={(seen) => {
              onTry({ use: job.use, fabric: null, colour: seen });
              photo.close();
            }}
            onClose={photo.close}
          />
        </Suspense>
      )}
      <ContrastVerdict role="status" data-kind={contrast.kind} data-testid="contrast">
        {contrast.text}
      </ContrastVerdict>
      {tried && (
        <div style={{ display: 'flex', gap: 8, marginTop: 8 }}>
          <Button look="main" onPress={onTake}>
            Use this cloth
          </Button>
          <Button onPress={() => onTry(null)}>Put it back</Button>
        </div>
      )}
    </Section>
  );
}
