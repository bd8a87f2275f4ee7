import styled from 'styled-components';
import { Section } from '../../figures/Section.tsx';
import { KeyList, keysOf } from '../../quilt/KeysSheet.tsx';

const Keys = styled.div`
  dl {
    display: grid;
    grid-template-columns: max-content minmax(0, 1fr);
    gap: 5px 12px;
    font-size: 13px;
  }
  dd {
    color: var(--soft);
  }
  kbd {
    padding: 1px 6px;
    border: 1px solid var(--line);
    border-bottom-width: 2px;
    border-radius: 5px;
    font: 600 12px/1.3 var(--text);
  }
  /* Whoever has fingers only has no keys. */
  @media (hover: none) and (pointer: coarse) {
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
