import { createBrowserRouter } from 'react-router';
import { House } from '../door/House.tsx';
import { CannotDraw } from './CannotDraw.tsx';
import { Lost } from './Lost.tsx';

/** Shelf, and a quilt with its stages. Each is fetched when it is first gone to. */
export const createRouter = () =>
  createBrowserRouter([
    {
      errorElement: <Lost />,
      Component: House,
      HydrateFallback: () => null,
      children: [
        { index: true, lazy: async () => ({ Component: (await import('../shelf/Shelf.tsx')).Shelf }) },
        {
          path: 'new',
          lazy: async () => ({ Component: (await import('../beginning/NewQuilt.tsx')).NewQuilt }),
        },
        {
          path: 'taken-off',
          lazy: async () => ({ Component: (await import('../shelf/TakenOff.tsx')).TakenOff }),
        },
        {
          path: 'ask/:topic?',
          lazy: async () => ({ Component: (await import('../counter/CounterPage.tsx')).CounterPage }),
        },
        {
          path: 'stash',
          lazy: async () => ({ Component: (await import('../stash/StashPage.tsx')).StashPage }),
        },
        {
          path: 'practice',
          lazy: async () => ({ Component: (await import('../practice/PracticePage.tsx')).PracticePage }),
        },
        {
          path: 'practice/sheet',
          lazy: async () => ({ Component: (await import('../practice/SheetPage.tsx')).SheetPage }),
        },
        {
          path: 'keeping',
          lazy: async () => ({ Component: (await import('../keeping/KeepingPage.tsx')).KeepingPage }),
        },
        {
          path: 'quilts/:id',
          errorElement: <CannotDraw />,
          lazy: async () => ({ Component: (await import('../quilt/QuiltPage.tsx')).QuiltPage }),
          children: [
            {
              path: 'blocks',
              lazy: async () => ({
                Component: (await import('../stages/blocks/BlocksStage.tsx')).BlocksStage,
              }),
            },
            {
              path: 'setting',
              lazy: async () => ({
                Component: (await import('../stages/setting/SettingStage.tsx')).SettingStage,
              }),
            },
            {
              path: 'wall',
              lazy: async () => ({ Component: (await import('../stages/wall/WallStage.tsx')).WallStage }),
            },
            {
              path: 'labels',
              lazy: async () => ({ Component: (await import('../stages/wall/LabelsPage.tsx')).LabelsPage }),
            },
            {
              path: 'layers',
              lazy: async () => ({
                Component: (await import('../stages/layers/LayersStage.tsx')).LayersStage,
              }),
            },
            {
              path: 'edge',
              lazy: async () => ({ Component: (await import('../stages/edge/EdgeStage.tsx')).EdgeStage }),
            },
            {
              path: 'cut',
              lazy: async () => ({ Component: (await import('../stages/cut/CutStage.tsx')).CutStage }),
            },
            {
              path: 'cutting-plan',
              lazy: async () => ({ Component: (await import('../stages/cut/PlanPage.tsx')).PlanPage }),
            },
            {
              path: 'sew',
              lazy: async () => ({ Component: (await import('../stages/sew/SewStage.tsx')).SewStage }),
            },
            {
              path: 'machine',
              lazy: async () => ({ Component: (await import('../stages/sew/MachinePage.tsx')).MachinePage }),
            },
            {
              path: 'sewing-steps',
              lazy: async () => ({ Component: (await import('../stages/sew/StepsPage.tsx')).StepsPage }),
            },
            {
              path: 'journal',
              lazy: async () => ({
                Component: (await import('../stages/journal/JournalStage.tsx')).JournalStage,
              }),
            },
            {
              path: 'group',
              lazy: async () => ({ Component: (await import('../group/GroupPage.tsx')).GroupPage }),
            },
            {
              path: 'request',
              lazy: async () => ({ Component: (await import('../group/RequestPage.tsx')).RequestPage }),
            },
            {
              path: 'sewing-day',
              lazy: async () => ({ Component: (await import('../group/SewingDayPage.tsx')).SewingDayPage }),
            },
            {
              path: 'record',
              lazy: async () => ({
                Component: (await import('../stages/journal/RecordPage.tsx')).RecordPage,
              }),
            },
            {
              path: 'label',
              lazy: async () => ({ Component: (await import('../stages/journal/LabelPage.tsx')).LabelPage }),
            },
            {
              path: 'paper',
              lazy: async () => ({ Component: (await import('../paper/PaperPage.tsx')).PaperPage }),
            },
            {
              path: 'piles',
              lazy: async () => ({ Component: (await import('../stages/cut/PilesPage.tsx')).PilesPage }),
            },
            {
              path: 'scallops',
              lazy: async () => ({ Component: (await import('../stages/edge/ScallopPage.tsx')).ScallopPage }),
            },
            {
              path: 'borders',
              lazy: async () => ({
                Component: (await import('../stages/borders/BordersStage.tsx')).BordersStage,
              }),
            },
          ],
        },
        { path: '*', Component: Lost },
      ],
    },
  ]);
