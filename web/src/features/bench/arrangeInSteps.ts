import { api, type Arrangement, type PreviewBody } from '../../api/client';

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
  const decided = body.capo !== 'auto';
  const mayStay = decided || body.houseRules?.capo !== false;
  if (before && mayStay) {
    const asked = decided ? body : { ...body, capo: before.capo.chosen };
    const first = await api.arrangeAsked(asked, signal);
    const { swept, chosen, leastEffort } = first.capo;
    if (swept && (decided || chosen === leastEffort)) {
      return first;
    }
    if (!swept) {
      onFirst({ ...first, capo: { ...before.capo, chosen, swept: false } });
    }
  }
  return api.arrange(body, signal);
}
