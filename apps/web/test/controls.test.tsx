import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { CountField } from '../src/design/controls/CountField.tsx';
import { LengthField } from '../src/design/controls/LengthField.tsx';
import { Why } from '../src/design/controls/Why.tsx';
import { Lengths } from '../src/design/Lengths.tsx';

// jsdom has no CSS object; escaping a selector is all that is asked of it.

function Sash({ taken }: { taken: (value: number) => void }) {
  const [value, setValue] = useState(1.5);
  return (
    <LengthField
      label="Sash"
      value={value}
      unit="in"
      onCommit={(next) => {
        if (next > 10) return 'Wider than the block.';
        setValue(next);
        taken(next);
        return null;
      }}
    />
  );
}
const box = () => screen.getByRole('textbox', { name: 'Sash' }) as HTMLInputElement;

describe('a length field', () => {
  test('takes what is typed on Enter, as quilters write it', async () => {
    const taken = jest.fn();
    render(<Sash taken={taken} />);
    await userEvent.clear(box());
    await userEvent.type(box(), '2-1/4{Enter}');
    expect(taken).toHaveBeenLastCalledWith(2.25);
    expect(box().value).toBe('2 1/4″');
  });
  test('steps along the ruler with the arrows and the buttons', async () => {
    const taken = jest.fn();
    render(<Sash taken={taken} />);
    await userEvent.click(box());
    await userEvent.keyboard('{ArrowUp}{ArrowUp}{ArrowDown}');
    expect(taken).toHaveBeenLastCalledWith(1.625);
    await userEvent.click(screen.getByRole('button', { name: 'Less: Sash' }));
    expect(taken).toHaveBeenLastCalledWith(1.5);
  });
  test('keeps what was typed and says what is wrong; Escape goes back to the last good one', async () => {
    const taken = jest.fn();
    render(<Sash taken={taken} />);
    await userEvent.clear(box());
    await userEvent.type(box(), '12{Enter}');
    expect(screen.getByText('Wider than the block.')).toBeTruthy();
    expect(box().value).toBe('12');
    expect(box().getAttribute('aria-invalid')).toBe('true');
    expect(taken).not.toHaveBeenCalled();
    await userEvent.keyboard('{Escape}');
    expect(box().value).toBe('1 1/2″');
  });
  test('shows what it understood of another unit while one types', async () => {
    render(<Sash taken={jest.fn()} />);
    await userEvent.clear(box());
    await userEvent.type(box(), '5.08 cm');
    expect(document.body.textContent).toContain('Understood as 2″');
  });
  test('leaving the field takes it; leaving it empty says so', async () => {
    const taken = jest.fn();
    render(<Sash taken={taken} />);
    await userEvent.clear(box());
    await userEvent.tab();
    expect(screen.getByText(/A length is missing here/)).toBeTruthy();
    expect(taken).not.toHaveBeenCalled();
  });
});

test('a count field keeps a number that cannot be, with its reason', async () => {
  const commit = jest.fn((n: number) => (n < 1 ? 'At least one.' : null));
  render(<CountField label="Across" value={3} onCommit={commit} />);
  const across = screen.getByRole('textbox', { name: 'Across' });
  await userEvent.clear(across);
  await userEvent.type(across, '0{Enter}');
  expect(screen.getByText('At least one.')).toBeTruthy();
});

test('a figure opens its working', async () => {
  render(
    <Why
      figure={{ value: 8, kind: 'length', working: ['7.071 short side + 7/8 = 7.946', 'next 1/8 up: 8″'] }}
      text="8″"
      what="8″"
    />,
  );
  await userEvent.click(screen.getByRole('button', { name: '8″: why 8″' }));
  expect(screen.getByRole('dialog').textContent).toContain('next 1/8 up: 8″');
});

test('fractions are set apart from whole figures, and a size without one is left alone', () => {
  const { container } = render(<Lengths text="58 1/2 × 70″" />);
  expect(container.textContent!).toBe('58 1/2 × 70″');
  // The whole and its fraction kept together, the space between them, the fraction.
  expect(container.querySelectorAll('span span')).toHaveLength(3);
});
