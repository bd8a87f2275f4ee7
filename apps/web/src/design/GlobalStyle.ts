import { createGlobalStyle } from 'styled-components';
import { forcedColours } from './media.ts';

/** Tokens for daylight and for evening sewing, and what every page shares. */
export const GlobalStyle = createGlobalStyle`
  :root {
    --ink: #1b2433;
    --soft: #566172;
    --line: #d3d8dc;
    --ground: #e9edee;
    --grid: #dde3e4;
    --card: #fbfcfc;
    --field: #ffffff;
    --wool: #1f2b42;
    --wool-stripe: #263450;
    --on-wool: #dfe5ec;
    --on-wool-soft: #aab6c6;
    --thread: #c33c24;
    --on-thread: #ffffff;
    --chalk: #2a6fb5;
    --chalk-wash: #eef4fb;
    --on-chalk: #ffffff;
    --brass: #8a5f0c;
    --brass-wash: #fdf4df;
    --good: #22694b;
    --good-wash: #e1f0e9;
    --wrong: #a12c17;
    --wrong-wash: #fbeae6;
    --shadow: 0 1px 2px rgb(27 36 51 / 10%), 0 6px 18px rgb(27 36 51 / 12%);
    /* On cloth, whose colour is the same by day and in the evening. */
    --on-light-cloth: #1b2433;
    --on-dark-cloth: #fbfcfc;
    --name: 'Bricolage Grotesque Variable', 'Archivo Variable', sans-serif;
    --text: 'Archivo Variable', system-ui, sans-serif;
    /* The scale of letters: from a mark in a drawing to what is read across the room. */
    --size-mark: 12px;
    --size-note: 13px;
    --size-text: 14px;
    --size-read: 15px;
    --size-lead: 17px;
    --size-title: 20px;
    --size-head: 22px;
    --size-large: 30px;
    --size-far: 46px;
    /* Read from the machine, the larger the window the further off. */
    --size-machine-note: clamp(17px, 2.1vw, 24px);
    --size-machine: clamp(20px, 2.6vw, 34px);
    --size-machine-figure: clamp(30px, 6.4vw, 76px);
    /* As large as a finger wants what it presses. */
    --finger: 44px;
    color-scheme: light;
  }
  :root[data-theme='evening'] {
    --ink: #eceff3;
    --soft: #a9b4c2;
    --line: #3a4556;
    --ground: #151b26;
    --grid: #1c2431;
    --card: #1e2633;
    --field: #151b26;
    --wool: #10161f;
    --wool-stripe: #151d29;
    --on-wool: #dfe5ec;
    --on-wool-soft: #9dabbd;
    --thread: #e8694f;
    --on-thread: #1a0d0a;
    --chalk: #7db4ec;
    --chalk-wash: #1b2c40;
    --on-chalk: #0c1623;
    --brass: #e3b85c;
    --brass-wash: #33290f;
    --good: #7fcaa6;
    --good-wash: #17332a;
    --wrong: #f39a86;
    --wrong-wash: #3a1d17;
    --shadow: 0 1px 2px rgb(0 0 0 / 40%), 0 6px 18px rgb(0 0 0 / 40%);
    color-scheme: dark;
  }
  *, *::before, *::after { box-sizing: border-box; }
  html { -webkit-text-size-adjust: 100%; }
  @page { margin: 10mm; }
  body { margin: 0; background: var(--ground); color: var(--ink); font: 400 var(--size-read)/1.45 var(--text); }
  h1, h2, h3, p, ul, dl, dd { margin: 0; padding: 0; }
  ul { list-style: none; }
  button, input, select { font: inherit; color: inherit; }
  a { color: inherit; }
  :focus-visible { outline: 2px solid var(--chalk); outline-offset: 2px; }
  /* Where colours are forced, what is chosen is told by its frame. */
  ${forcedColours} {
    [data-selected]:not([role='tab']), button[aria-pressed='true'], a[aria-current='page'] {
      outline: 3px solid Highlight;
      outline-offset: -3px;
    }
  }
  @media (prefers-reduced-motion: reduce) {
    *, *::before, *::after { transition-duration: 0.01ms !important; animation-duration: 0.01ms !important; }
  }
`;
