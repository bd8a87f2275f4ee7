import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { PaperHead } from './PaperHead.tsx';
import { onPaper } from '../../design/media.ts';

const OnlyPaper = styled.div`
  display: none;
  ${onPaper} {
    display: block;
  }
`;

/**
 * The head of a page to be printed: what it is, the way back, and the button. On paper only what it is, with the day;
 * with `what`, the quilt itself with its name and size instead.
 */
export function PrintHead({
  title,
  what,
  back,
  to,
  children,
}: {
  title: string;
  what?: string;
  back: string;
  to: string;
  /** What else can be done with the page. */
  children?: React.ReactNode;
}) {
  return (
    <>
      <header className={what ? 'hide' : undefined}>
        <h1>
          {title}
          <small>{new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' }).format(new Date())}</small>
        </h1>
        <Link className="hide" to={to}>
          {back}
        </Link>
        {children && <span className="hide">{children}</span>}
        <span className="hide">
          <Button look="main" onPress={() => window.print()}>
            <Printer size={15} aria-hidden />
            Print
          </Button>
        </span>
      </header>
      {what && (
        <OnlyPaper>
          <PaperHead what={what} />
        </OnlyPaper>
      )}
    </>
  );
}
