import type { ComponentType } from 'react';

/** Fetches a page's own part of the app. */
type Page = () => Promise<ComponentType>;

/** Every page by its address below the root. Each is fetched when it is first gone to. */
export const PAGES: Readonly<Record<string, Page>> = {
  '': async () => (await import('../rooms/shelf/Shelf.tsx')).Shelf,
  new: async () => (await import('../rooms/beginning/NewQuilt.tsx')).NewQuilt,
  'taken-off': async () => (await import('../rooms/shelf/TakenOff.tsx')).TakenOff,
  'ask/:topic?': async () => (await import('../rooms/counter/CounterPage.tsx')).CounterPage,
  stash: async () => (await import('../rooms/stash/StashPage.tsx')).StashPage,
  practice: async () => (await import('../rooms/practice/PracticePage.tsx')).PracticePage,
  'practice/sheet': async () => (await import('../rooms/practice/SheetPage.tsx')).SheetPage,
  keeping: async () => (await import('../rooms/keeping/KeepingPage.tsx')).KeepingPage,
};

/** What lies round every page of a quilt. */
export const quiltPage: Page = async () => (await import('./quilt/QuiltPage.tsx')).QuiltPage;

/** Every page of a quilt, by what follows its own address: its stages in the order of the work, then its papers. */
export const QUILT_PAGES: Readonly<Record<string, Page>> = {
  blocks: async () => (await import('../stages/blocks/BlocksStage.tsx')).BlocksStage,
  setting: async () => (await import('../stages/setting/SettingStage.tsx')).SettingStage,
  wall: async () => (await import('../stages/wall/WallStage.tsx')).WallStage,
  borders: async () => (await import('../stages/borders/BordersStage.tsx')).BordersStage,
  layers: async () => (await import('../stages/layers/LayersStage.tsx')).LayersStage,
  edge: async () => (await import('../stages/edge/EdgeStage.tsx')).EdgeStage,
  cut: async () => (await import('../stages/cut/CutStage.tsx')).CutStage,
  sew: async () => (await import('../stages/sew/SewStage.tsx')).SewStage,
  machine: async () => (await import('../stages/sew/MachinePage.tsx')).MachinePage,
  journal: async () => (await import('../stages/journal/JournalStage.tsx')).JournalStage,
  labels: async () => (await import('../stages/wall/LabelsPage.tsx')).LabelsPage,
  'cutting-plan': async () => (await import('../stages/cut/PlanPage.tsx')).PlanPage,
  piles: async () => (await import('../stages/cut/PilesPage.tsx')).PilesPage,
  scallops: async () => (await import('../stages/edge/ScallopPage.tsx')).ScallopPage,
  'sewing-steps': async () => (await import('../stages/sew/StepsPage.tsx')).StepsPage,
  paper: async () => (await import('../rooms/paper/PaperPage.tsx')).PaperPage,
  record: async () => (await import('../stages/journal/RecordPage.tsx')).RecordPage,
  label: async () => (await import('../stages/journal/LabelPage.tsx')).LabelPage,
  group: async () => (await import('../rooms/group/GroupPage.tsx')).GroupPage,
  request: async () => (await import('../rooms/group/RequestPage.tsx')).RequestPage,
  'sewing-day': async () => (await import('../rooms/group/SewingDayPage.tsx')).SewingDayPage,
};

/** What the page at an address needs, so that it can be fetched beside the app itself and not after it. */
export function pagesAt(pathname: string): readonly Page[] {
  const [first = '', , stage] = pathname.split('/').slice(1);
  if (first === 'quilts') {
    return [quiltPage, ...own(QUILT_PAGES, stage ?? 'setting')];
  }
  return own(PAGES, first === 'ask' ? 'ask/:topic?' : pathname.slice(1));
}

const own = (pages: Readonly<Record<string, Page>>, path: string): readonly Page[] =>
  Object.hasOwn(pages, path) ? [pages[path]!] : [];
