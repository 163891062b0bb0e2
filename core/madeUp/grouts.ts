/** Colours of grout and sealant to pick from: usual greys and naturals. */
export const GROUTS = [
  { value: '#f3f1ec', label: 'White' },
  { value: '#d8d2c4', label: 'Sand' },
  { value: '#b4b6b4', label: 'Silver' },
  { value: '#8f969b', label: 'Grey' },
  { value: '#5b5f63', label: 'Slate' },
  { value: '#2b2d30', label: 'Black' },
];
