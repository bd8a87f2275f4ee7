import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { cardStates } from '../../design/cardStyles.ts';
import { slim, tight, touch } from '../../design/media.ts';

export const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 0.9fr);
  gap: 28px;
  ${tight} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
export const Asked = styled.section`
  display: grid;
  gap: 16px;
  align-content: start;
  min-width: 0;
  h2,
  .ask {
    margin: 0 0 6px;
    font-size: var(--size-text);
    font-weight: 650;
  }
  .narrow {
    max-width: 380px;
  }
`;
export const Haves = styled(RadioGroup)`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
  > .ask {
    grid-column: 1 / -1;
  }
  ${slim} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
export const Have = styled(Radio)`
  ${cardStates}
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 52px;
  padding: 8px 12px;
  background: var(--card);
  font-size: var(--size-text);
  font-weight: 600;
  line-height: 1.2;
  svg {
    flex: none;
    color: var(--soft);
  }
`;
export const Cards = styled(RadioGroup)`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(92px, 1fr));
  gap: 8px;
  > .ask {
    grid-column: 1 / -1;
  }
`;
export const Chips = styled(RadioGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  > .ask {
    flex-basis: 100%;
  }
`;
export const Chip = styled(Radio)`
  ${cardStates}
  min-width: 48px;
  min-height: 34px;
  padding: 5px 12px;
  border-radius: 17px;
  background: var(--card);
  font-size: var(--size-text);
  text-align: center;
  &[data-selected] {
    font-weight: 650;
  }
  ${touch} {
    min-height: var(--finger);
    padding: 10px 16px;
    border-radius: 22px;
  }
`;
