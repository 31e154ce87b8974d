/** A command that has a key. */
interface Key {
  /** As the hotkey library writes it; several with a comma, one after another with `>`. */
  press: string;
  /** As people read it. */
  shown: string;
  does: string;
  where: 'on the bench' | 'on the sheet' | 'on stage' | 'in a drill' | 'in the songbook' | 'everywhere';
  /** Whether the key is meant by its place on the keyboard, not by what it types: digits under shift. */
  byPlace?: true;
}

/** All keys there are. What listens to them, the dialog that shows them and the README go by this table. */
export const KEYS = {
  next: { press: 'right', shown: '→', does: 'choose the next chord', where: 'on the bench' },
  previous: { press: 'left', shown: '←', does: 'choose the chord before', where: 'on the bench' },
  dearer: { press: 'down', shown: '↓', does: 'take its next dearer grip', where: 'on the bench' },
  cheaper: { press: 'up', shown: '↑', does: 'take its next cheaper grip', where: 'on the bench' },
  lock: { press: 'l', shown: 'l', does: 'lock or unlock its grip', where: 'on the bench' },
  rung: { press: '1,2,3,4,5', shown: '1 to 5', does: 'rung', where: 'on the bench', byPlace: true },
  capo: {
    press: 'shift+0,shift+1,shift+2,shift+3,shift+4,shift+5,shift+6,shift+7,shift+8,shift+9',
    shown: 'shift 0 to 9',
    does: 'capo',
    where: 'on the bench',
    byPlace: true,
  },
  undo: { press: 'mod+z', shown: 'ctrl z', does: 'undo', where: 'on the bench' },
  redo: { press: 'mod+shift+z', shown: 'ctrl shift z', does: 'redo', where: 'on the bench' },
  play: { press: 'space', shown: 'space', does: 'play or stop', where: 'on the bench', byPlace: true },
  loop: { press: 'o', shown: 'o', does: 'loop its section, or end the loop', where: 'on the bench' },
  texture: { press: 't', shown: 't', does: 'choose what the part is made of', where: 'on the bench' },
  tune: { press: 'n', shown: 'n', does: 'write the tune, note by note', where: 'on the bench' },
  voices: { press: 'v', shown: 'v', does: 'draw the voices over the road', where: 'on the bench' },
  whole: { press: 'escape', shown: 'esc', does: 'see the whole song again', where: 'on the bench' },
  help: { press: '?,shift+?', shown: '?', does: 'show these keys', where: 'on the bench' },
  pageOn: { press: 'pagedown,down', shown: 'page down, ↓', does: 'page on', where: 'on the sheet' },
  pageBack: { press: 'pageup,up', shown: 'page up, ↑', does: 'page back', where: 'on the sheet' },
  loopSheet: { press: 'o', shown: 'o', does: 'loop the section that sounds', where: 'on the sheet' },
  stage: { press: 's', shown: 's', does: 'let the sheet fill the screen', where: 'on the sheet' },
  playSheet: { press: 'space', shown: 'space', does: 'play or stop', where: 'on the sheet', byPlace: true },
  stageOn: {
    press: 'pagedown,down,right,enter,space',
    shown: '→, ↓, enter, space',
    does: 'page on',
    where: 'on stage',
    byPlace: true,
  },
  stageBack: { press: 'pageup,up,left', shown: '←, ↑', does: 'page back', where: 'on stage' },
  stageLoop: { press: 'o', shown: 'o', does: 'loop the section on the screen', where: 'on stage' },
  stagePlay: { press: 'p', shown: 'p', does: 'play or stop', where: 'on stage' },
  stageEnd: { press: 'escape,s', shown: 'esc, s', does: 'leave the stage', where: 'on stage' },
  drillClean: { press: '1', shown: '1', does: 'it was clean', where: 'in a drill', byPlace: true },
  drillRough: { press: '2', shown: '2', does: 'it was rough', where: 'in a drill', byPlace: true },
  drillMissed: { press: '3', shown: '3', does: 'it was missed', where: 'in a drill', byPlace: true },
  drillStop: { press: '0', shown: '0', does: 'stop, it hurts', where: 'in a drill', byPlace: true },
  drillFaster: { press: 'up,right', shown: '↑, →', does: 'faster', where: 'in a drill' },
  drillSlower: { press: 'down,left', shown: '↓, ←', does: 'slower', where: 'in a drill' },
  drillClick: { press: 'c', shown: 'c', does: 'click on or off', where: 'in a drill' },
  drillTap: { press: 't', shown: 't, t', does: 'time one change', where: 'in a drill' },
  drillListen: { press: 'm', shown: 'm', does: 'listen, or stop', where: 'in a drill' },
  drillLeave: { press: 'escape', shown: 'esc', does: 'back to the plan', where: 'in a drill' },
  find: { press: 'f', shown: 'f', does: 'find a song', where: 'in the songbook' },
  goSongs: { press: 'g>s', shown: 'g s', does: 'go to the songs', where: 'everywhere' },
  goBench: { press: 'g>b', shown: 'g b', does: 'go to the bench', where: 'everywhere' },
  goSheet: { press: 'g>h', shown: 'g h', does: 'go to the sheet', where: 'everywhere' },
  goRungs: { press: 'g>r', shown: 'g r', does: 'go to the rungs', where: 'everywhere' },
  goVersions: { press: 'g>v', shown: 'g v', does: 'go to the versions', where: 'everywhere' },
  goShapes: { press: 'g>d', shown: 'g d', does: 'go to the shape desk', where: 'everywhere' },
  goMap: { press: 'g>n', shown: 'g n', does: 'go to the neck map', where: 'everywhere' },
  goDrills: { press: 'g>k', shown: 'g k', does: 'go to the drill book', where: 'everywhere' },
  goPlayers: { press: 'g>p', shown: 'g p', does: 'go to the players', where: 'everywhere' },
  goBook: { press: 'g>o', shown: 'g o', does: 'go to the book', where: 'everywhere' },
} as const satisfies Record<string, Key>;

export type KeyId = keyof typeof KEYS;

/** The table as the README has it. */
export function keysMarkdown(): string {
  const lines = Object.values(KEYS).map(({ shown, does, where }) => `| \`${shown}\` | ${does} | ${where} |`);
  return ['| Key | What it does | Where |', '|---|---|---|', ...lines].join('\n');
}
