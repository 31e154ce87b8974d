const BELOW = ['root below', 'third below', 'fifth below', 'seventh below'];

/** Which tone of a chord is lowest, the root as 0. */
export function inversionWords(inversion: number): string {
  return BELOW[inversion] ?? 'colour below';
}
