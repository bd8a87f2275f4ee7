import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/bricolage-grotesque/wght.css';
import { pagesAt } from './shell/pages.ts';

// The page one comes to is fetched beside the app, not after it. Where it cannot be had, the router says so.
for (const page of pagesAt(location.pathname)) page().catch(() => undefined);
void import('./shell/start.tsx');
