import styled from 'styled-components';

/** The frame of a page that stands where another cannot. */
export const LostPage = styled.main`
  max-width: 460px;
  margin: 15vh auto;
  padding: 0 20px;
  h1 {
    font: 650 var(--size-large)/1.2 var(--name);
    margin-bottom: 8px;
  }
  p + p {
    margin-top: 14px;
  }
  a {
    display: inline-block;
    margin-top: 16px;
    font-weight: 600;
    color: var(--chalk);
  }
`;
