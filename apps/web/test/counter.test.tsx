import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes } from 'react-router';
import { createStore } from '../src/shell/store.ts';
import { CounterPage } from '../src/rooms/counter/CounterPage.tsx';
import { answer, answerWith } from './support/network.ts';
import { choose, type } from './support/show.tsx';

beforeEach(() =>
  Object.assign(globalThis, {
    matchMedia: () => ({ matches: false, addEventListener: () => {}, removeEventListener: () => {} }),
  }),
);

const show = (topic: string) =>
  render(
    <Provider store={createStore()}>
      <MemoryRouter initialEntries={[`/ask/${topic}`]}>
        <Routes>
          <Route path="/ask/:topic" element={<CounterPage />} />
          <Route path="/quilts/:id/:stage" element={<p>opened</p>} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  );
const said = () => screen.getByRole('region', { name: 'Answer' }).textContent!.replace(/\s/g, '');

describe('every question has an answer, drawn', () => {
  test.each([
    ['setting-triangles', /18 ?1\/4/],
    ['quilt-size', /36×48/],
    ['sashing', /42×551\/2″,12blocks/],
    ['binding', /8strips,5\/8yd.*whichwouldnotgetround7/],
    ['bias', /Asquareof29″/],
    ['backing', /2panels,levelseams,37\/8yd/],
    ['flange', /7strips,1\/4yd/],
    ['prairie-points', /70points/],
    // Four folded strips of 2 1/2" round 60 × 72: two of 72, two of 61, seven strips from 40".
    ['facing', /strips,.*yd.*Sides,twoof72″.*Topandbottom,twoof61″/],
    // π/8 + 1/2 = 0.893.
    ['piping', /Biasstripsof1″.*Stripandcord,inall268″/],
    // 60" is one sleeve: 8 1/2" by 60" with its hems, two strips of 40".
    ['sleeve', /2strips,1\/2yd.*cutlong60″/],
    ['what-it-binds', /Binds33×33″/],
    ['quilted-blocks', /Rowstrips,cutlong39″/],
  ])('%s', (topic, words) => {
    show(topic);
    expect(said()).toMatch(words);
    expect(screen.getByRole('region', { name: 'Answer' }).querySelector('.drawing svg')).toBeTruthy();
  });
});

test('strips lie on the cloth that is asked for, the last as far as it is used', () => {
  show('binding');
  // Round 60 × 72 and 10 more is 274, and seven joins take 17 1/2": seven strips of 40 and 11 1/2 of the eighth, 20" of cloth, sold as 22 1/2.
  expect(
    screen
      .getByRole('img', { name: '8 strips on 22 1/2″ of cloth, the last used for 11 1/2″' })
      .getAttribute('viewBox'),
  ).toBe('0 0 40 22.5');
});

test('choices read as words; another grain is drawn and answered for itself', async () => {
  show('binding');
  expect(screen.getByRole('button', { name: /All round \+ 10″ \(usual\)/ })).toBeTruthy();
  await choose(/Grain$/, 'Bias, from a square');
  expect(screen.getByRole('img', { name: /bias strips from a square of 29″/ })).toBeTruthy();
  expect(said()).toContain('Thatsquaregives,joined');
  expect(said()).not.toContain('selvagetoselvage');
});

test('a length all round stands for the two sides; a wrong one is said beside its field', async () => {
  show('binding');
  await type('Or all round, measured', '198');
  expect(said()).toMatch(/^6strips,1\/2yd/);
  await type('Or all round, measured', 'a lot');
  expect(screen.getAllByText(/“a lot” is not a length/)).toHaveLength(2);
});

test('in centimetres it begins at everyday figures there', async () => {
  show('binding');
  await userEvent.click(screen.getByRole('button', { name: 'Use centimetres' }));
  expect((screen.getByRole('textbox', { name: 'Quilt width' }) as HTMLInputElement).value).toBe('150');
  expect(said()).toMatch(/strips,0\.\dm/);
});

test('a quilt is made of an answer; out of reach it waits here and goes by itself', async () => {
  show('backing');
  answerWith(async () => {
    throw new TypeError('network');
  });
  await userEvent.click(screen.getByRole('button', { name: 'Make a quilt of this' }));
  expect(await screen.findByText('opened')).toBeTruthy();
  let sent: { plan: { setting: object } } | null = null;
  answerWith(async (request) => {
    if (request.method === 'POST') sent = JSON.parse(await request.text()) as typeof sent;
    return answer(201, { id: 'q9', revision: 1, updatedAt: '', plan: sent?.plan });
  });
  // Asked was the quilt's size, 60 × 72; its top is measured raw edge to raw edge, a seam of 1/4 more on every side.
  await waitFor(() => expect(sent?.plan.setting).toEqual({ kind: 'whole-top', width: 60.5, height: 72.5 }));
});

test('what was typed goes along to the next question that asks the same', async () => {
  show('binding');
  await type('Quilt width', '65');
  await type('Quilt height', '78');
  await userEvent.click(screen.getByRole('link', { name: 'Bias' }));
  // Round 65 × 78 and ten more is 296: √(296 × 2 1/2) is 27.2, up and 2 more (the rule of the root).
  expect(said()).toMatch(/Asquareof3\d″/);
  await userEvent.click(screen.getByRole('link', { name: 'Backing' }));
  expect((screen.getByRole('textbox', { name: 'Quilt width' }) as HTMLInputElement).value).toBe('65');
  // A block that is trimmed is not a block that is finished.
  await userEvent.click(screen.getByRole('link', { name: 'Quilt size' }));
  await type('Block, finished', '9');
  await userEvent.click(screen.getByRole('link', { name: 'Quilted blocks' }));
  expect((screen.getByRole('textbox', { name: /trimmed/ }) as HTMLInputElement).value).toBe('12');
});

test('the address says what was asked', () => {
  show('binding?width=40&height=50');
  expect((screen.getByRole('textbox', { name: 'Quilt width' }) as HTMLInputElement).value).toBe('40');
});
