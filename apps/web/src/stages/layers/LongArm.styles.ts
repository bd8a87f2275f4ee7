import styled from 'styled-components';

/** Names and what they come to. */
export const Sent = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 12px;
  margin: 6px 0;
  font-size: var(--size-text);
  dt {
    color: var(--soft);
  }
  dd {
    text-align: right;
    font-weight: 650;
    font-stretch: 88%;
  }
`;
/** What the service said. */
export const Answer = styled.div`
  margin: 8px 0;
  h4 {
    font-size: var(--size-read);
    font-weight: 650;
  }
  ul {
    margin: 4px 0;
    padding-left: 18px;
    list-style: disc;
    font-size: var(--size-text);
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 8px;
  }
`;
