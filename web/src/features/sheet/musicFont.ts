import '@vexflow-fonts/bravura/index.css';

/** The font of musical signs. */
export const MUSIC = 'Bravura';

/** Fetches it before anything is set in it. */
export async function fetchMusicFont() {
  await document.fonts.load(`16px ${MUSIC}`);
}
