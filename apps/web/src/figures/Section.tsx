import styled from 'styled-components';

const Block = styled.section`
  padding: 12px 0 10px;
  & + & {
    border-top: 1px solid var(--line);
  }
  > h3 {
    display: flex;
    align-items: center;
    justify-content: space-between;
    min-height: 30px;
    font-size: 13px;
    font-weight: 600;
    color: var(--soft);
  }
`;

/** A titled part of the panel, with what one can do to all of it at the end of its title. */
export function Section({
  title,
  children,
  action,
}: {
  title: string;
  children: React.ReactNode;
  action?: React.ReactNode;
}) {
  return (
    <Block aria-label={title}>
      <h3>
        {title}
        {action}
      </h3>
      {children}
    </Block>
  );
}
