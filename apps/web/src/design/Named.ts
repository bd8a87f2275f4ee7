import styled from 'styled-components';

/**
 * Fields that are alike for several things are told apart by what they are of: said once, when one comes among them.
 * Give it an `aria-label`.
 */
export const Named = styled.div.attrs({ role: 'group' })`
  display: contents;
`;
