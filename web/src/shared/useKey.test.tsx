// @vitest-environment jsdom
import { readFileSync, writeFileSync } from 'node:fs';
import { cleanup, fireEvent, render } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { KEYS, keysMarkdown, type KeyId } from './keyTable';
import { useKey } from './useKey';

afterEach(cleanup);

function Listening({ id, act }: { id: KeyId; act: () => void }) {
  useKey(id, act);
  return (
    <>
      <input aria-label="field" />
      <select aria-label="choice" />
      <div role="slider" aria-label="slider" aria-valuenow={1} tabIndex={0} />
      <button>button</button>
      <p>text</p>
    </>
  );
}

const CODES: Record<string, [key: string, code: string]> = {
  right: ['ArrowRight', 'ArrowRight'],
  left: ['ArrowLeft', 'ArrowLeft'],
  down: ['ArrowDown', 'ArrowDown'],
  up: ['ArrowUp', 'ArrowUp'],
  space: [' ', 'Space'],
  enter: ['Enter', 'Enter'],
  escape: ['Escape', 'Escape'],
  pagedown: ['PageDown', 'PageDown'],
  pageup: ['PageUp', 'PageUp'],
  '?': ['?', 'Minus'],
};

/** Presses what a line of the table says, as a browser reports it. */
function press(target: Element, written: string) {
  for (const step of written.split('>')) {
    const parts = step.split('+');
    const name = parts.at(-1) ?? '';
    const digit = /^\d$/.test(name);
    const [key, code] = CODES[name] ?? [
      digit ? '!' : name,
      digit ? `Digit${name}` : `Key${name.toUpperCase()}`,
    ];
    const held = { shiftKey: parts.includes('shift'), ctrlKey: parts.includes('mod') };
    fireEvent.keyDown(target, { key, code, bubbles: true, ...held });
    fireEvent.keyUp(target, { key, code, bubbles: true });
  }
}

describe.each(Object.entries(KEYS).flatMap(([id, { press: all }]) => all.split(',').map((one) => [id, one])))(
  'the key of %s, %s,',
  (id = '', one = '') => {
    test('is heard on the page, and in no field, choice or slider', () => {
      const act = vi.fn();
      const page = render(<Listening id={id as KeyId} act={act} />);
      press(page.getByText('text'), one);
      expect(act).toHaveBeenCalledTimes(1);
      press(page.getByLabelText('field'), one);
      press(page.getByLabelText('choice'), one);
      press(page.getByLabelText('slider'), one);
      expect(act).toHaveBeenCalledTimes(1);
    });

    test('is not heard behind a dialog, nor with a modifier more', () => {
      const act = vi.fn();
      const page = render(
        <>
          <Listening id={id as KeyId} act={act} />
          <div role="dialog" />
        </>,
      );
      press(page.getByText('text'), one);
      page.rerender(<Listening id={id as KeyId} act={act} />);
      fireEvent.keyDown(page.getByText('text'), { key: 'l', code: 'KeyL', altKey: true, ctrlKey: true });
      expect(act).not.toHaveBeenCalled();
    });
  },
);

test('space on a button is the button’s', () => {
  const act = vi.fn();
  const page = render(<Listening id="play" act={act} />);
  press(page.getByText('button'), 'space');
  expect(act).not.toHaveBeenCalled();
});

test('the README has the keys of the table', () => {
  const path = '../README.md';
  const readme = readFileSync(path, 'utf8');
  const written = readme.replace(/(<!-- keys -->\n)[^]*?(<!-- end of keys -->)/, `$1${keysMarkdown()}\n$2`);
  if (process.env.KEYS_WRITE) {
    writeFileSync(path, written);
  }
  expect(readme, 'KEYS_WRITE=1 npx vitest run src/shared/useKey.test.tsx writes it anew').toBe(written);
  expect(readme).toContain('<!-- keys -->');
});
