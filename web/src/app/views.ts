/** The code of every view but the first, fetched when it is wanted, and all of it once the first view stands. */
export const views = {
  bench: () => import('../features/bench/BenchView').then(({ BenchView }) => ({ Component: BenchView })),
  sheet: () => import('../features/sheet/SheetView').then(({ SheetView }) => ({ Component: SheetView })),
  rungs: () => import('../features/rungs/RungsView').then(({ RungsView }) => ({ Component: RungsView })),
  versions: () =>
    import('../features/versions/VersionsView').then(({ VersionsView }) => ({ Component: VersionsView })),
  shapes: () => import('../features/shapes/ShapesView').then(({ ShapesView }) => ({ Component: ShapesView })),
  neckmap: () =>
    import('../features/neckmap/NeckMapView').then(({ NeckMapView }) => ({ Component: NeckMapView })),
  drills: () => import('../features/drills/DrillsView').then(({ DrillsView }) => ({ Component: DrillsView })),
  players: () =>
    import('../features/players/PlayersView').then(({ PlayersView }) => ({ Component: PlayersView })),
  book: () => import('../features/book/BookView').then(({ BookView }) => ({ Component: BookView })),
};
