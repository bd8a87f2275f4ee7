import styled from 'styled-components';
import { Section } from '../../rooms/figures/Section.tsx';
import { KeyList, keysOf } from '../../rooms/frame/KeysSheet.tsx';
import { withoutKeys } from '../../design/media.ts';

const Keys = styled.div`
  /* Whoever has fingers only has no keys. */
  ${withoutKeys} {
    display: none;
  }
`;

/** What the keys do on the wall. */
export function WallKeys() {
  return (
    <Keys>
      <Section title="By keyboard">
        <KeyList keys={keysOf('On the wall')} />
      </Section>
    </Keys>
  );
}
