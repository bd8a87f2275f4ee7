import styled from 'styled-components';

/** Something said across a page, with what can be done about it. */
export const Notice = styled.div`
  display: flex;
  align-items: center;
  gap: 12px;
  margin-top: 14px;
  padding: 10px 16px;
  border-radius: 10px;
  background: var(--brass-wash);
  color: var(--ink);
  &[data-wrong] {
    background: var(--wrong-wash);
  }
  p {
    flex: 1;
  }
`;
