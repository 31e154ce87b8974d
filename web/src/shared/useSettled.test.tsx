// @vitest-environment jsdom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useSettled } from './useSettled';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

function Shown({ value }: { value: number }) {
  return <output>{useSettled(value, 600)}</output>;
}

test('a value that keeps changing is followed once it rests', () => {
  const { rerender } = render(<Shown value={1} />);
  for (let value = 2; value <= 5; value++) {
    rerender(<Shown value={value} />);
    act(() => vi.advanceTimersByTime(500));
  }
  expect(screen.getByRole('status')).toHaveTextContent('1');
  act(() => vi.advanceTimersByTime(200));
  expect(screen.getByRole('status')).toHaveTextContent('5');
});
