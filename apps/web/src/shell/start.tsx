import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import { keepFocus } from '../browser/keepFocus.ts';
import { createRouter } from './router.tsx';
import { createStore } from './store.ts';
import { beginKeeping } from '../sync/outbox/wiring.ts';
import { firstTheme } from '../state/useTheme.ts';
import { GlobalStyle } from '../design/GlobalStyle.ts';
import { themeChosen } from '../state/viewSlice.ts';

const store = createStore();
store.dispatch(themeChosen(firstTheme()));
void beginKeeping(store.around, store.dispatch);
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
