// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { beforeEach, expect, test, vi } from 'vitest';
import { useDraft, useDraftOf } from './useDraft';

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

test('a form that was left half filled in is there again; its other fields are as given', () => {
  const form = (given: { name: string; rung: number }) =>
    renderHook(() => useDraftOf('player.1', given)).result;
  const first = form({ name: 'Ida', rung: 2 });
  expect(first.current.isChanged).toBe(false);
  act(() => first.current.set({ name: 'Ida', rung: 3 }));
  const second = form({ name: 'Ida', rung: 2 });
  expect([second.current.value, second.current.isOld, second.current.isChanged]).toEqual([
    { name: 'Ida', rung: 3 },
    true,
    true,
  ]);
  act(() => second.current.set({ name: 'Ida', rung: 2 }));
  expect(form({ name: 'Ida', rung: 2 }).current.isOld).toBe(false);
  localStorage.setItem('underhand.draft.player.1', 'spoilt');
  expect(form({ name: 'Ida', rung: 2 }).current.value).toEqual({ name: 'Ida', rung: 2 });
});
