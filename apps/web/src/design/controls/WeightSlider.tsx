import { Label, Slider, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';

const Row = styled(Slider)`
  display: grid;
  grid-template-columns: 118px 1fr;
  align-items: center;
  gap: 10px;
  min-height: 30px;
  font-size: var(--size-text);
  .track {
    position: relative;
    height: 26px;
  }
  .track::before {
    content: '';
    position: absolute;
    inset: 12px 0;
    border-radius: 2px;
    background: var(--line);
  }
  .thumb {
    top: 50%;
    width: 24px;
    height: 24px;
    border: 2px solid var(--chalk);
    border-radius: 50%;
    background: var(--card);
  }
  .thumb[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
`;

interface WeightSliderProps {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly step: number;
  readonly onChange: (value: number) => void;
}

/** How much something matters, from nothing to its most. */
export function WeightSlider({ label, value, most, step, onChange }: WeightSliderProps) {
  return (
    <Row minValue={0} maxValue={most} step={step} value={value} onChange={(next) => onChange(next as number)}>
      <Label>{label}</Label>
      <SliderTrack className="track">
        <SliderThumb className="thumb" />
      </SliderTrack>
    </Row>
  );
}
