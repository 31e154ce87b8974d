// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { beforeEach, expect, test } from 'vitest';
import { useRemembered } from './useRemembered';

beforeEach(() => localStorage.clear());

const big = () => renderHook(() => useRemembered('sheet.big', false)).result;

test('a view opens as it was set last', () => {
  const first = big();
  expect(first.current[0]).toBe(false);
  act(() => first.current[1](true));
  expect(big().current[0]).toBe(true);
});

test.each(['not json', '"words"', 'null'])('what is stored as %s is forgotten', (raw) => {
  localStorage.setItem('underhand.view.sheet.big', raw);
  expect(big().current[0]).toBe(false);
});
