/** Colours of a lit field: golden cells on warm light, and on a dimmed lamp at night. */
export interface FieldInks {
  light: string
  line: string
  gold: string
  grain: string
  glass: string
  pale: string
  chain: string
  green: string
  deepGreen: string
  jelly: string
  sand: string
  trace: string
}

const PAPER: FieldInks = {
  light: '#fbf5e2',
  line: '#4a3a22',
  gold: '#c4933f',
  grain: '#8a5f22',
  glass: '#f2e7c6',
  pale: '#f0dfb2',
  chain: '#5f8378',
  green: '#6f9f57',
  deepGreen: '#356b38',
  jelly: '#f0e3bb',
  sand: '#ddd2b0',
  trace: '#a08a5c',
}

const NIGHT: FieldInks = {
  light: '#2b2318',
  line: '#e3d3aa',
  gold: '#b98736',
  grain: '#5e4116',
  glass: '#4a3e29',
  pale: '#e2c98d',
  chain: '#7fa597',
  green: '#7ea863',
  deepGreen: '#2f5a2f',
  jelly: '#3c311f',
  sand: '#5b5039',
  trace: '#8d7a52',
}

/** The inks of the look the page has now. */
export const fieldInks = (): FieldInks => (document.documentElement.dataset.look === 'night' ? NIGHT : PAPER)
