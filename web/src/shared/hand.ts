import { createContext, useContext } from 'react';

/** Whether necks and grips are drawn for a left-handed player: the other way round. */
export const LeftHanded = createContext(false);

export function useLeftHanded(): boolean {
  return useContext(LeftHanded);
}
