import { Printer } from 'lucide-react';
import { Link, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { Paper } from '../../design/Paper.ts';
import { BordersLines, EdgeLines, LayersLines, PiecesToTick, ShoppingToTick } from './lists.tsx';
import { PaperHead } from './PaperHead.tsx';
import { onPaper } from '../../design/media.ts';

const Sheet = styled(Paper)`
  h2 {
    margin: 0 0 4px;
    font-size: var(--size-read);
    font-weight: 650;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 14px;
    margin-bottom: 16px;
    padding-bottom: 12px;
    border-bottom: 1px solid var(--line);
    font-size: var(--size-text);
  }
  .ways a[aria-current] {
    font-weight: 650;
    text-decoration: none;
  }
  .ways > span:last-child {
    margin-left: auto;
  }
  ${onPaper} {
    .ways {
      display: none;
    }
  }
`;

const SHEETS = {
  summary: {
    name: 'Summary',
    lists: (
      <>
        <BordersLines />
        <PiecesToTick />
        <LayersLines />
        <EdgeLines />
        <ShoppingToTick />
      </>
    ),
  },
  pieces: { name: 'Pieces to cut', lists: <PiecesToTick /> },
  shopping: { name: 'Shopping list', lists: <ShoppingToTick /> },
} as const;
type SheetId = keyof typeof SHEETS;

/** A quilt on paper: a summary of one page, the pieces to cut, the shopping list; and the way to the other sheets. */
export function PaperPage() {
  const { id } = useParams();
  const [params] = useSearchParams();
  const asked = params.get('what') ?? 'summary';
  const what: SheetId = asked in SHEETS ? (asked as SheetId) : 'summary';
  return (
    <Sheet>
      <nav className="ways" aria-label="On paper">
        {(Object.keys(SHEETS) as SheetId[]).map((sheet) => (
          <Link key={sheet} to={`?what=${sheet}`} replace aria-current={sheet === what ? 'page' : undefined}>
            {SHEETS[sheet].name}
          </Link>
        ))}
        <Link to={`/quilts/${id}/cutting-plan`}>Cutting plan</Link>
        <Link to={`/quilts/${id}/sewing-steps`}>Sewing steps</Link>
        <Link to={`/quilts/${id}/labels`}>Labels for the blocks</Link>
        <Link to={`/quilts/${id}/piles`}>Slips for the stacks</Link>
        <span>
          <Button look="main" onPress={() => window.print()}>
            <Printer size={15} aria-hidden />
            Print
          </Button>
        </span>
      </nav>
      <PaperHead what={SHEETS[what].name} />
      {SHEETS[what].lists}
    </Sheet>
  );
}
