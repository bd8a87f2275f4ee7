import styled from 'styled-components';

const Block = styled.section`
  padding: 12px 0 10px;
  & + & {
    border-top: 1px solid var(--line);
  }
  > .title {
    display: flex;
    align-items: center;
    justify-content: space-between;
    min-height: 30px;
    color: var(--soft);
    h3 {
      font-size: var(--size-note);
      font-weight: 600;
    }
  }
`;

/**
 * A titled part of the panel, with what one can do to all of it at the end of its title. Its heading names it: a region
 * of the same name would have everything said twice.
 */
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
    <Block>
      <div className="title">
        <h3>{title}</h3>
        {action}
      </div>
      {children}
    </Block>
  );
}
