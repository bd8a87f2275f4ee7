import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/bricolage-grotesque/wght.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import { keepFocus } from './app/keepFocus.ts';
import { createRouter } from './app/router.tsx';
import { createStore } from './app/store.ts';
import { beginKeeping } from './outbox/wiring.ts';
import { firstTheme } from './app/useTheme.ts';
import { GlobalStyle } from './design/GlobalStyle.ts';
import { themeChosen } from './quilt/viewSlice.ts';

const store = createStore();
store.dispatch(themeChosen(firstTheme()));
void beginKeeping(store.around, store.dispatch as never);
keepFocus();
document.documentElement.dataset['theme'] = store.getState().view.theme;

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <GlobalStyle />
      <RouterProvider router={createRouter()} />
    </Provider>
  </StrictMode>,
);
