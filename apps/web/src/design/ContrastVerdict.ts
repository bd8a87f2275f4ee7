import styled from 'styled-components';

/** How a cloth stands out beside blocks, in words. */
export const ContrastVerdict = styled.p`
  padding: 7px 10px;
  border-radius: 7px;
  font-size: var(--size-note);
  background: var(--good-wash);
  color: var(--good);
  &[data-kind='disappears'] {
    background: var(--wrong-wash);
    color: var(--wrong);
    font-weight: 650;
  }
  &[data-kind='close'],
  &[data-kind='same-value'] {
    background: var(--brass-wash);
    color: var(--brass);
  }
`;
