// @vitest-environment jsdom
import { cleanup, renderHook } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { usePageTitle } from './usePageTitle';

afterEach(cleanup);

test('the tab is named after song and view, and after the house alone when they are gone', () => {
  const { rerender, unmount } = renderHook((title: string | undefined) => usePageTitle(title, 'Sheet'), {
    initialProps: undefined as string | undefined,
  });
  expect(document.title).toBe('Sheet · Underhand');
  rerender('Towpath Morning');
  expect(document.title).toBe('Towpath Morning · Sheet · Underhand');
  unmount();
  expect(document.title).toBe('Underhand');
});
