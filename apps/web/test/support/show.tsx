import type { Plan } from '@lattice/core';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { createStore } from '../../src/shell/store.ts';
import { quiltOpened } from '../../src/state/savingSlice.ts';
import { clearHistory, planOpened } from '../../src/state/planSlice.ts';

/** Shows something of an open quilt; answers the store and the plan as it stands. */
export function show(what: React.ReactNode, plan: Plan) {
  const store = createStore();
  store.dispatch(quiltOpened({ id: 'q', revision: 1, base: plan }));
  store.dispatch(planOpened(plan));
  store.dispatch(clearHistory());
  render(
    <Provider store={store}>
      <MemoryRouter>{what}</MemoryRouter>
    </Provider>,
  );
  return { store, now: () => store.getState().plan.present! };
}

/** Types into a field and leaves it. */
export async function type(label: string, text: string): Promise<void> {
  const field = screen.getByRole('textbox', { name: label });
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
}

/** Opens a pick list and takes an option. */
export async function choose(button: RegExp, option: RegExp | string): Promise<void> {
  await userEvent.click(screen.getByRole('button', { name: button }));
  await userEvent.click(screen.getByRole('option', { name: option }));
}
