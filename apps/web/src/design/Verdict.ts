import styled from 'styled-components';

/** A judgement in words: good as it is, to be eased, or to be put right first; `part` where too little is known to judge. */
export const Verdict = styled.p`
  margin: 6px 0;
  padding: 7px 10px;
  border-radius: 7px;
  font-size: var(--size-note);
  background: var(--good-wash);
  color: var(--good);
  &[data-kind='part'] {
    background: var(--chalk-wash);
    color: var(--ink);
  }
  &[data-kind='ease'] {
    background: var(--brass-wash);
    color: var(--brass);
  }
  &[data-kind='square-up'] {
    background: var(--wrong-wash);
    color: var(--wrong);
    font-weight: 650;
  }
`;
