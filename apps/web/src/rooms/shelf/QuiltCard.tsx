import type { ListedQuilt } from '@lattice/contract';
import { formatSize } from '@lattice/core';
import { Copy, Tag, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useDrawnQuery } from '../../sync/api.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Thumbnail } from '../drawing/Thumbnail.tsx';
import { selectBooked } from '../../state/bookingSelectors.ts';
import { STAGE_NAMES } from '../../state/stageNames.ts';

/** Cards side by side, as many as there is room for. */
export const Cards = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 20px;
`;
const Card = styled.li`
  position: relative;
  display: flex;
  flex-direction: column;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  transition: box-shadow 120ms;
  /* Cards far below are laid out when they are come to. */
  content-visibility: auto;
  contain-intrinsic-size: auto 338px;
  &:hover {
    box-shadow: var(--shadow);
  }
  .art {
    display: block;
    height: 250px;
    padding: 18px;
    border-radius: 12px 12px 0 0;
    background: var(--ground);
  }
  .art svg {
    filter: drop-shadow(0 2px 4px rgb(0 0 0 / 28%));
  }
  &[data-unreadable] .art {
    background: repeating-linear-gradient(45deg, var(--ground) 0 10px, var(--line) 10px 11px);
  }
  .words {
    padding: 12px 16px 48px;
  }
  a.title {
    font-weight: 650;
    text-decoration: none;
    overflow-wrap: anywhere;
  }
  a.title::after {
    content: '';
    position: absolute;
    inset: 0;
    border-radius: 12px;
  }
  a.title:focus-visible {
    outline: none;
  }
  a.title:focus-visible::after {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
  .rest {
    font-size: var(--size-text);
    color: var(--soft);
  }
  .tags {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    margin-top: 4px;
    font-size: var(--size-note);
    color: var(--soft);
  }
  .tags span {
    padding: 0 7px;
    border: 1px solid var(--line);
    border-radius: 9px;
  }
  .tools {
    position: absolute;
    z-index: 1;
    right: 6px;
    bottom: 10px;
    display: flex;
    button {
      padding: 4px 9px;
    }
  }
`;

/** A quilt on the shelf: drawn, its name, its own size, its setting, and where the work stands. */
export function QuiltCard({
  quilt,
  tools,
  first,
  onCopy,
  onTags,
  onRemove,
}: {
  quilt: ListedQuilt;
  /** Whether it can be tagged, duplicated, taken off. */
  tools: boolean;
  /** Among the first, and so in sight at once. */
  first: boolean;
  onCopy: () => void;
  onTags: () => void;
  onRemove: () => void;
}) {
  const { card, id } = quilt;
  const booked = useAppSelector(selectBooked).has(id);
  const unreadable = 'unreadable' in card;
  return (
    <Card data-unreadable={unreadable || undefined}>
      <div className="art">{!unreadable && <CardArt id={id} revision={quilt.revision} first={first} />}</div>
      <div className="words">
        <Link
          className="title"
          to={`/quilts/${id}/${unreadable ? 'setting' : booked ? card.atBooked : card.at}`}
        >
          {card.title}
        </Link>
        <p className="rest">
          {unreadable ? (
            'It cannot be read any more: open it to see what can be done'
          ) : (
            <>
              <Lengths text={formatSize(card.width, card.height, card.unit)} /> · {card.setting.toLowerCase()}{' '}
              · {`at\u00a0${STAGE_NAMES[booked ? card.atBooked : card.at]}`}
            </>
          )}
        </p>
        {!unreadable && card.tags.length > 0 && (
          <p className="tags">
            {card.tags.map((tag) => (
              <span key={tag}>{tag}</span>
            ))}
          </p>
        )}
      </div>
      {tools && (
        <div className="tools">
          {!unreadable && (
            <>
              <Button look="quiet" aria-label={`Tags of ${card.title}`} onPress={onTags}>
                <Tag size={15} aria-hidden />
              </Button>
              <Button look="quiet" aria-label={`Duplicate ${card.title}`} onPress={onCopy}>
                <Copy size={15} aria-hidden />
              </Button>
            </>
          )}
          <Button look="quiet" aria-label={`Take ${card.title} off the shelf`} onPress={onRemove}>
            <X size={16} aria-hidden />
          </Button>
        </div>
      )}
    </Card>
  );
}

/** The quilt drawn on its card, from its plan: fetched when the card is come near to, and then known for opening it. */
function CardArt({ id, revision, first }: { id: string; revision: number; first: boolean }) {
  const place = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(first || typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    if (near || !place.current) return;
    const watch = new IntersectionObserver(
      (seen) => {
        if (seen.some((entry) => entry.isIntersecting)) setNear(true);
      },
      { rootMargin: '240px' },
    );
    watch.observe(place.current);
    return () => watch.disconnect();
  }, [near]);
  const { data } = useDrawnQuery({ id, revision }, { skip: !near });
  return (
    <div ref={place} style={{ height: '100%' }}>
      {data && data.problems.length === 0 && <Thumbnail plan={data.plan} edged />}
    </div>
  );
}
