import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import { Button } from './controls/Button.tsx';

/** The head of a page to be printed: what it is, the way back, and the button; only the first is on paper. */
export function PrintHead({ title, back, to }: { title: string; back: string; to: string }) {
  return (
    <header>
      <h1>
        {title}
        <small>{new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' }).format(new Date())}</small>
      </h1>
      <Link className="hide" to={to}>
        {back}
      </Link>
      <span className="hide">
        <Button look="main" onPress={() => window.print()}>
          <Printer size={15} aria-hidden />
          Print
        </Button>
      </span>
    </header>
  );
}
