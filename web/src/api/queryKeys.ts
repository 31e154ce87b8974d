export const songKeys = {
  all: ['songs'] as const,
  one: (id: number) => ['songs', id] as const,
  versions: (id: number) => ['songs', id, 'versions'] as const,
  planned: (id: number, version: number) => ['songs', id, 'versions', version] as const,
  efforts: (id: number) => ['songs', id, 'efforts'] as const,
};

export const bookKeys = {
  removed: ['removed songs'] as const,
  backups: ['backups'] as const,
  about: ['about'] as const,
  licences: ['licences'] as const,
};

export const drillKeys = {
  all: ['drills'] as const,
  plan: (player: number | null, minutes: number, said: object) =>
    ['drills', 'plan', player, minutes, said] as const,
  calendar: (player: number | null) => ['drills', 'calendar', player] as const,
  curves: (player: number | null, of: string) => ['drills', 'curves', player, of] as const,
  timed: (player: number | null) => ['drill-test', player] as const,
  log: (player: number | null) => ['drills', 'log', player] as const,
  forecast: (player: number | null) => ['drills', 'forecast', player] as const,
  calibration: (player: number | null) => ['drills', 'calibration', player] as const,
};

export const playerKeys = { players: ['players'] as const, guitars: ['guitars'] as const };
