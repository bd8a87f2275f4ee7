import { ArrowLeft } from 'lucide-react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Landmark } from '../../design/Landmark.tsx';
import { ThemeButton } from './ThemeButton.tsx';
import { onPaper, slim, touch } from '../../design/media.ts';

const Page = styled.div<{ $width: number }>`
  max-width: ${({ $width }) => $width}px;
  margin: 0 auto;
  padding: 0 24px 56px;
  > header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 12px;
    padding: 18px 0 12px;
  }
  > header h1 {
    margin-right: auto;
    font: 700 var(--size-large)/1.15 var(--name);
  }
  > header a {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    min-height: 32px;
    font-size: var(--size-text);
    font-weight: 600;
  }
  ${slim} {
    padding: 0 14px 48px;
  }
  ${touch} {
    > header a {
      min-height: var(--finger);
    }
  }
  ${onPaper} {
    max-width: none;
    padding: 0;
    > header > :not(h1) {
      display: none;
    }
  }
`;

/** A page of its own beside the quilts: the way back to the shelf, what it is, what one can do to all of it. */
export function PageFrame({
  title,
  width = 1100,
  head,
  children,
}: {
  readonly title: string;
  /** In pixels, at most. */
  readonly width?: number;
  readonly head?: React.ReactNode;
  readonly children: React.ReactNode;
}) {
  return (
    <Page $width={width}>
      <Landmark of="banner">
        <Link to="/">
          <ArrowLeft size={15} aria-hidden /> The shelf
        </Link>
        <h1>{title}</h1>
        {head}
        <ThemeButton />
      </Landmark>
      <Landmark of="main">{children}</Landmark>
    </Page>
  );
}
