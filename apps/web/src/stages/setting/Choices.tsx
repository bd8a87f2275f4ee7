import { capital, convertPlan, hasLongSashes, type Plan, settingOf } from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { CountField } from '../../design/controls/CountField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { BordersSection } from '../borders/BordersSection.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { PileSection } from './PileSection.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { LieSection } from './LieSection.tsx';
import { SettingCards } from './SettingCards.tsx';
import { TargetSection } from './TargetSection.tsx';

/** Everything the quilter chooses at this stage, in the order one thinks of it. */
export function Choices() {
  const whole = settingOf(useAppSelector(selectPlan).setting.kind).whole ?? false;
  return (
    <>
      {!whole && <TargetSection />}
      <SettingSection />
      {!whole && <LieSection />}
      <BlockSection whole={whole} />
      <BordersSection />
      <PileSection />
    </>
  );
}

function SettingSection() {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const setting = settingOf(plan.setting.kind);
  const options: Record<string, unknown> = { ...plan.setting };
  const setOption = (key: string, value: unknown) =>
    edit((p) => ({ ...p, setting: { ...p.setting, [key]: value } as Plan['setting'] }));
  const { pieces } = useAppSelector(selectQuilt);
  const longSashes = hasLongSashes(plan, pieces);
  return (
    <Section title="Setting">
      <SettingCards />
      {!setting.whole && (
        <>
          <CountField
            label={capital(setting.gridMeans.across)}
            value={plan.grid.across}
            onCommit={(across) => edit((p) => ({ ...p, grid: { ...p.grid, across } }))}
          />
          <CountField
            label={capital(setting.gridMeans.down)}
            value={plan.grid.down}
            onCommit={(down) => edit((p) => ({ ...p, grid: { ...p.grid, down } }))}
          />
        </>
      )}
      <AdviceFor path="grid" />
      {setting.fields
        .filter((field) => !field.when || options[field.when.key] === field.when.is)
        .map((field) =>
          field.type === 'length' ? (
            <div key={field.key}>
              <LengthField
                label={field.label}
                value={options[field.key] as number}
                unit={plan.unit}
                onCommit={(value) => setOption(field.key, value)}
              />
              {field.says && (
                <p>
                  <small>{field.says}</small>
                </p>
              )}
              <AdviceFor path={`setting.${field.key}`} />
            </div>
          ) : field.type === 'choice' ? (
            <ChoiceField
              key={field.key}
              label={field.label}
              labelled
              value={String(options[field.key])}
              choices={field.choices.map((c) => ({ id: c.value, name: c.label }))}
              onChange={(value) => setOption(field.key, value)}
            />
          ) : (
            <SwitchField
              key={field.key}
              label={field.label}
              value={options[field.key] as boolean}
              onChange={(value) => setOption(field.key, value)}
            />
          ),
        )}
      {longSashes && (
        <LengthField
          label="Long sashes, cut over-long by"
          value={plan.overLong.sashes}
          unit={plan.unit}
          step={plan.unit === 'in' ? 0.5 : 1}
          onCommit={(sashes) => edit((p) => ({ ...p, overLong: { ...p.overLong, sashes } }))}
        />
      )}
    </Section>
  );
}

function BlockSection({ whole }: { whole: boolean }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { block, unit } = plan;
  // A square block stays square until its height is given apart.
  const setWidth = (width: number) =>
    edit((p) => ({
      ...p,
      block: { width, height: p.block.width === p.block.height ? width : p.block.height },
    }));
  return (
    <Section
      title={whole ? 'Seams' : 'Blocks and seams'}
      action={
        <Button look="quiet" onPress={() => edit((p) => convertPlan(p, p.unit === 'in' ? 'cm' : 'in'))}>
          {unit === 'in' ? 'Use centimetres' : 'Use inches'}
        </Button>
      }
    >
      {!whole && (
        <>
          <LengthField label="Block width, finished" value={block.width} unit={unit} onCommit={setWidth} />
          <LengthField
            label="Block height, finished"
            value={block.height}
            unit={unit}
            onCommit={(height) => edit((p) => ({ ...p, block: { ...p.block, height } }))}
          />
        </>
      )}
      <LengthField
        label="Seam allowance"
        value={plan.seam}
        unit={unit}
        step={unit === 'in' ? 1 / 16 : 0.05}
        onCommit={(seam) => edit((p) => ({ ...p, seam }))}
      />
    </Section>
  );
}
