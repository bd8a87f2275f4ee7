import { Radio } from 'react-aria-components';
import styled from 'styled-components';
import { pictureCard } from './cardStyles.ts';

/** A setting to choose: drawn small over its name. */
export const SettingCard = styled(Radio)`
  ${pictureCard}
  svg {
    width: 46px;
    height: 46px;
  }
  path {
    fill: none;
    stroke: var(--soft);
    stroke-width: 0.6;
    vector-effect: non-scaling-stroke;
  }
  .block {
    fill: color-mix(in srgb, var(--soft) 22%, transparent);
  }
  &[data-selected] path {
    stroke: var(--ink);
  }
`;
