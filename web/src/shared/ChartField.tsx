import { lintGutter, setDiagnostics, type Diagnostic } from '@codemirror/lint';
import { StateEffect, StateField, type EditorState } from '@codemirror/state';
import { Decoration, EditorView, type DecorationSet } from '@codemirror/view';
import { basicSetup } from 'codemirror';
import { useEffect, useImperativeHandle, useRef, type Ref } from 'react';
import type { Fault, Span } from '../api/client';
import { MONO } from '../theme/theme';
import { placeOf, rangeOf, type Mend } from './mend';

const LOOK = EditorView.theme({
  '&': {
    fontSize: '0.95rem',
    border: '1px solid var(--mui-palette-draw-rule)',
    borderRadius: '8px',
    backgroundColor: 'var(--mui-palette-draw-sheet)',
    color: 'var(--mui-palette-text-primary)',
    maxHeight: '42vh',
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
  '.cm-lintRange-warning': {
    backgroundImage: 'none',
    borderBottom: '2px dotted var(--mui-palette-warning-main)',
  },
  '.cm-lint-marker': { content: '""', width: '9px', height: '9px', margin: '0.45em auto 0' },
  '.cm-lint-marker-error': { backgroundColor: 'var(--mui-palette-error-main)' },
  '.cm-lint-marker-warning': { backgroundColor: 'var(--mui-palette-warning-main)', borderRadius: '50%' },
  '.cm-chart-chord': { color: 'var(--mui-palette-draw-stays)', fontWeight: 700 },
  '.cm-chart-heading': { fontWeight: 700 },
  '.cm-chart-header': { color: 'var(--mui-palette-draw-movesText)' },
  '.cm-chart-sign': { color: 'var(--mui-palette-text-secondary)' },
  '.cm-chart-aside': { color: 'var(--mui-palette-text-secondary)', fontStyle: 'italic' },
});

const MARKS = {
  header: Decoration.mark({ class: 'cm-chart-header' }),
  heading: Decoration.mark({ class: 'cm-chart-heading' }),
  chord: Decoration.mark({ class: 'cm-chart-chord' }),
  sign: Decoration.mark({ class: 'cm-chart-sign' }),
  aside: Decoration.mark({ class: 'cm-chart-aside' }),
};

const colour = StateEffect.define<DecorationSet>();

/** What the text is made of, in colour; what is typed since keeps the colour it stands in. */
const colours = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update: (marks, change) =>
    change.effects.reduce(
      (now, effect) => (effect.is(colour) ? effect.value : now),
      marks.map(change.changes),
    ),
  provide: (field) => EditorView.decorations.from(field),
});

export interface ChartFieldHandle {
  /** Puts the caret on a fault. */
  goTo: (fault: Fault) => void;
  apply: (mend: Mend) => void;
}

/** A text with what was read in it. */
interface ReadText {
  source: string;
  faults: Fault[];
  spans: Span[];
}

/** The text of a chart as it is typed: chords, parts and headers in colour, what was not understood marked in its place. */
export default function ChartField({
  source,
  reading,
  onChange,
  ref,
}: {
  /** What it begins with. */
  source: string;
  reading: ReadText | undefined;
  onChange: (source: string) => void;
  ref?: Ref<ChartFieldHandle>;
}) {
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView>(null);
  const first = useRef(source);
  const told = useRef(onChange);
  useEffect(() => {
    told.current = onChange;
  }, [onChange]);

  useEffect(() => {
    if (!host.current) {
      return;
    }
    const editor = new EditorView({
      doc: first.current,
      parent: host.current,
      extensions: [
        basicSetup,
        EditorView.lineWrapping,
        EditorView.contentAttributes.of({ 'aria-label': 'Text of the chart', spellcheck: 'false' }),
        LOOK,
        lintGutter(),
        colours,
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
    // What was read of another text is not shown in this one.
    if (editor && reading && editor.state.doc.toString() === reading.source) {
      editor.dispatch({ effects: colour.of(marks(editor.state, reading.spans)) });
      editor.dispatch(setDiagnostics(editor.state, diagnostics(reading)));
    }
  }, [reading]);

  useImperativeHandle(
    ref,
    () => ({
      goTo: (fault) => {
        const editor = view.current;
        if (editor) {
          const [anchor, head] = placeOf(editor.state.doc.toString(), fault);
          editor.dispatch({ selection: { anchor, head }, scrollIntoView: true });
          editor.focus();
        }
      },
      apply: (mend) => {
        if (view.current) {
          applyTo(view.current, mend);
        }
      },
    }),
    [],
  );

  return <div ref={host} data-testid="chart-field" />;
}

function applyTo(editor: EditorView, mend: Mend) {
  const [from, to] = rangeOf(editor.state.doc.toString(), mend);
  editor.dispatch({ changes: { from, to, insert: mend.text }, scrollIntoView: true });
}

function marks(state: EditorState, spans: Span[]): DecorationSet {
  return Decoration.set(
    spans.flatMap((span) => {
      const from = state.doc.line(span.line).from + span.column - 1;
      const mark = MARKS[span.kind as keyof typeof MARKS];
      return [mark.range(from, from + span.length)];
    }),
    true,
  );
}

/** What is only told is read below the text. */
function diagnostics({ source, faults }: ReadText): Diagnostic[] {
  const marked = faults.filter((fault) => fault.kind !== 'told');
  return marked.map((fault) => {
    const [from, to] = placeOf(source, fault);
    return {
      from,
      to,
      severity: fault.kind === 'unread' ? 'error' : 'warning',
      message: fault.message,
      actions: fault.mends.map((mend) => ({
        name: mend.label,
        // Places of a text that was changed since are no longer where they were.
        apply: (editor: EditorView) => {
          if (editor.state.doc.toString() === source) {
            applyTo(editor, mend);
          }
        },
      })),
    };
  });
}
