// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { beforeEach, expect, test, vi } from 'vitest';
import { useDraft } from './useDraft';

beforeEach(() => localStorage.clear());

const draft = (given = '') => renderHook(() => useDraft('chart.1', given)).result;

test('what was typed is there when the page comes back, until it is used', () => {
  const first = draft();
  act(() => first.current.write('G D'));
  const second = draft();
  expect([second.current.text, second.current.isOld]).toEqual(['G D', true]);
  act(() => second.current.forget());
  expect([draft().current.text, draft().current.isOld]).toEqual(['', false]);
});

test('a text as it was given is no draft', () => {
  const first = draft('C');
  act(() => first.current.write('C G'));
  act(() => first.current.write('C'));
  expect(draft('C').current.isOld).toBe(false);
});

test('a storage that takes nothing loses nothing on the page', () => {
  const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new Error('full');
  });
  const first = draft();
  act(() => first.current.write('G D'));
  expect(first.current.text).toBe('G D');
  full.mockRestore();
});
