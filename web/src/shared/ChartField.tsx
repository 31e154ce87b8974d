import { linter, lintGutter, type Diagnostic } from '@codemirror/lint';
import { EditorView } from '@codemirror/view';
import { basicSetup } from 'codemirror';
import { useEffect, useRef } from 'react';
import type { Fault } from '../api/client';
import { MONO } from '../theme/theme';

const LOOK = EditorView.theme({
  '&': {
    fontSize: '0.95rem',
    border: '1px solid var(--mui-palette-draw-rule)',
    borderRadius: '8px',
    backgroundColor: 'var(--mui-palette-draw-sheet)',
    color: 'var(--mui-palette-text-primary)',
    maxHeight: '56vh',
  },
  '.cm-scroller': { fontFamily: MONO, lineHeight: '1.55', overflow: 'auto' },
  '.cm-gutters': {
    backgroundColor: 'var(--mui-palette-draw-panel)',
    color: 'var(--mui-palette-text-secondary)',
    border: 'none',
  },
  '.cm-activeLine, .cm-activeLineGutter': { backgroundColor: 'transparent' },
  '.cm-cursor': { borderLeftColor: 'var(--mui-palette-text-primary)' },
  '.cm-tooltip': {
    backgroundColor: 'var(--mui-palette-background-paper)',
    color: 'var(--mui-palette-text-primary)',
    border: '1px solid var(--mui-palette-draw-rule)',
  },
  '.cm-lintRange-error': {
    backgroundImage: 'none',
    borderBottom: '2px dashed var(--mui-palette-error-main)',
  },
});

/** The text of a chart with what was not understood marked in its place. */
export default function ChartField({
  source,
  faults,
  goTo,
  onChange,
}: {
  source: string;
  faults: Fault[];
  /** A fault the caret is put on; a new object puts it there again. */
  goTo: Fault | null;
  onChange: (source: string) => void;
}) {
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView>(null);
  const first = useRef({ source, faults });
  const told = useRef(onChange);
  useEffect(() => {
    told.current = onChange;
  }, [onChange]);

  useEffect(() => {
    if (!host.current) {
      return;
    }
    const editor = new EditorView({
      doc: first.current.source,
      parent: host.current,
      extensions: [
        basicSetup,
        EditorView.lineWrapping,
        EditorView.contentAttributes.of({ 'aria-label': 'Text of the chart', spellcheck: 'false' }),
        LOOK,
        lintGutter(),
        linter((v) => diagnostics(v, first.current.source, first.current.faults), { delay: 0 }),
        EditorView.updateListener.of((update) => {
          if (update.docChanged) {
            told.current(update.state.doc.toString());
          }
        }),
      ],
    });
    view.current = editor;
    editor.focus();
    return () => editor.destroy();
  }, []);

  useEffect(() => {
    const editor = view.current;
    if (editor && goTo) {
      const [from, to] = rangeOf(editor, goTo);
      editor.dispatch({ selection: { anchor: from, head: to }, scrollIntoView: true });
      editor.focus();
    }
  }, [goTo]);

  return <div ref={host} data-testid="chart-field" />;
}

function rangeOf(view: EditorView, fault: Fault): [number, number] {
  const { doc } = view.state;
  const line = doc.line(Math.min(Math.max(1, fault.line), doc.lines));
  const from = Math.min(line.to, line.from + fault.column - 1);
  return [from, Math.min(line.to, from + Math.max(1, fault.input.length))];
}

/** Faults of lines that still read as they were sent; an edited line is judged when the text is used. */
function diagnostics(view: EditorView, source: string, faults: Fault[]): Diagnostic[] {
  const sent = source.split('\n');
  const { doc } = view.state;
  return faults.flatMap((fault) => {
    const unchanged = fault.line <= doc.lines && doc.line(fault.line).text === sent[fault.line - 1];
    if (!unchanged) {
      return [];
    }
    const [from, to] = rangeOf(view, fault);
    const { suggestion } = fault;
    return [
      {
        from,
        to,
        severity: 'error',
        message: fault.message,
        actions: suggestion
          ? [
              {
                name: `Write ${suggestion}`,
                apply: (v: EditorView, a: number, b: number) =>
                  v.dispatch({ changes: { from: a, to: b, insert: suggestion } }),
              },
            ]
          : [],
      } satisfies Diagnostic,
    ];
  });
}
