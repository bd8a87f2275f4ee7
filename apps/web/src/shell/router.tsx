import { createBrowserRouter, type RouteObject } from 'react-router';
import { House } from './door/House.tsx';
import { Lost } from './Lost.tsx';
import { PAGES, QUILT_PAGES, quiltPage } from './pages.ts';
import { QuiltFailed } from './QuiltFailed.tsx';

const routesOf = (pages: typeof PAGES): RouteObject[] =>
  Object.entries(pages).map(([path, page]) => {
    const lazy = async () => ({ Component: await page() });
    return path === '' ? { index: true, lazy } : { path, lazy };
  });

/** The shelf and its neighbours, and a quilt with its stages. */
export const createRouter = () =>
  createBrowserRouter([
    {
      errorElement: <Lost />,
      Component: House,
      HydrateFallback: () => null,
      children: [
        ...routesOf(PAGES),
        {
          path: 'quilts/:id',
          errorElement: <QuiltFailed />,
          lazy: async () => ({ Component: await quiltPage() }),
          children: routesOf(QUILT_PAGES),
        },
        { path: '*', Component: Lost },
      ],
    },
  ]);
