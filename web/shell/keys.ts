/** What a key does, for the list under `?`. */
export interface KeyLine {
  readonly keys: string;
  readonly does: string;
}

/** Every key of the product, by where it works. */
export const KEY_GROUPS: readonly { readonly where: string; readonly lines: readonly KeyLine[] }[] = [
  {
    where: 'Setting out',
    lines: [
      { keys: 'Arrows', does: 'Move the tiles by 1 mm or one step of the tape; ten with Shift' },
      { keys: ', and .', does: 'Turn the tiles left or right by a tenth of a degree; by a whole one with Shift' },
      { keys: 'E', does: 'Choose the next edge (or click it)' },
      { keys: 'P', does: 'A piece on the centre line, square to the chosen edge' },
      { keys: 'J', does: 'A joint on the centre line, square to the chosen edge' },
      { keys: 'F', does: 'Full pieces off the chosen edge' },
      { keys: 'B', does: 'The best of all starts' },
      { keys: '1 to 6', does: 'A school: centre out, off the edge seen first, outsides in, ledger, on the base, under the top' },
    ],
  },
  {
    where: 'Mixing tiles, stones of an ashlar, chips of a sheet',
    lines: [
      { keys: 'Arrows', does: 'Point at the next piece that way' },
      { keys: 'Enter or Space', does: 'Tap it: the next tile of its mix, or choose the stone or chip' },
    ],
  },
  {
    where: 'Measuring',
    lines: [
      { keys: 'Enter', does: 'Take the length' },
      { keys: 'F2', does: 'Read the distance meter into the field' },
    ],
  },
  {
    where: 'Cuts',
    lines: [
      { keys: 'T', does: 'Turn the tiles over: marks on the face, or on the back' },
      { keys: 'C', does: 'Tick the chosen pieces as cut; once more takes it back' },
      { keys: 'L', does: 'Tick the chosen pieces as laid; once more takes it back' },
      { keys: 'Left and Right', does: 'In a dry lay: the piece before, the next piece' },
      { keys: '/', does: 'Find a piece by its label' },
    ],
  },
  {
    where: 'Days',
    lines: [
      { keys: 'Left and Right', does: 'Move the chosen work by a day; what hangs on it moves along' },
      { keys: 'Enter', does: 'What it waits for' },
    ],
  },
  {
    where: 'Drawing',
    lines: [
      { keys: '+ and -', does: 'Closer, further away' },
      { keys: '0', does: 'Whole surface' },
      { keys: 'Alt and drag', does: 'Move the view instead of the tiles' },
    ],
  },
  {
    where: 'Everywhere',
    lines: [
      { keys: 'Ctrl Z, Ctrl Shift Z', does: 'Undo, redo' },
      { keys: 'Up and Down in a length', does: 'One step of the tape; ten with Shift' },
      { keys: '?', does: 'This list' },
    ],
  },
];
