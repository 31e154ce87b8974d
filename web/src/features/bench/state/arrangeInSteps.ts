import { api, type Arrangement, type PreviewBody } from '../../../api/client';

/**
 * Arranges a song so that the part can be shown before all capo positions are compared: first with the capo asked for, or
 * where it sits now, then in full.
 *
 * @param before the arrangement on screen
 * @param onFirst takes the part; its capo positions are those of the arrangement before
 */
export async function arrangeInSteps(
  body: PreviewBody,
  before: Arrangement | undefined,
  signal: AbortSignal,
  onFirst: (first: Arrangement) => void,
): Promise<Arrangement> {
  if (before) {
    const first = await api.arrangeAsked(body, before.capo.chosen, signal);
    if (first.capo.swept) {
      return first;
    }
    onFirst({ ...first, capo: { ...before.capo, chosen: first.capo.chosen, swept: false } });
  }
  return api.arrange(body, signal);
}
