import type { BandProfile, Parameter } from './parameter.types.ts'

/**
 * What is measured in the water. Bands, kit uncertainty and plausible limits: outbreaks.md section 8 (hobby practice,
 * "everyday comfort ranges; stability beats the exact value"); copper and oxygen: quarantine.md 5.4 and section 1.
 * `uncertainty` is the kit's 95 % half-width: the larger of `abs` and `rel` × value where `join` is "larger", their sum
 * where it is "sum". A band without a number is not steered.
 */
export const PARAMETERS: readonly Parameter[] = [
  {
    id: 'temp', name: 'temperature', short: 'Temp', unit: '°C', decimals: 1,
    aliases: ['temp', 'temperature', 't'],
    uncertainty: { abs: 0.5, rel: 0, join: 'larger' }, plausible: [10, 36],
    bands: {
      'reef-sps': [24, 26.5], 'reef-lps': [24, 26.5], 'reef-soft': [24, 27], 'fish-only': [24, 27], 'quarantine-marine': [24, 27],
      'planted-fresh': [22, 26], 'betta-nano': [25, 28], 'shrimp-neo': [20, 26], 'shrimp-caridina': [20, 24],
    },
  },
  {
    id: 'salinity', name: 'salinity', short: 'Sal', unit: 'psu', decimals: 1,
    aliases: ['salinity', 'sal', 'sg', 'ppt', 'psu'],
    uncertainty: { abs: 1, rel: 0, join: 'larger' }, plausible: [0, 45],
    bands: {
      'reef-sps': [34, 36], 'reef-lps': [34, 36], 'reef-soft': [33, 36], 'fish-only': [30, 35], 'quarantine-marine': [30, 35],
      'planted-fresh': [0, 0.5], 'betta-nano': [0, 0.5], 'shrimp-neo': [0, 0.5], 'shrimp-caridina': [0, 0.3],
    },
  },
  {
    id: 'ph', name: 'pH', short: 'pH', unit: 'pH', decimals: 2,
    aliases: ['ph'],
    uncertainty: { abs: 0.2, rel: 0, join: 'larger' }, plausible: [4, 10],
    bands: {
      'reef-sps': [7.9, 8.4], 'reef-lps': [7.8, 8.4], 'reef-soft': [7.8, 8.4], 'fish-only': [7.8, 8.4], 'quarantine-marine': [7.8, 8.4],
      'planted-fresh': [6, 7.4], 'betta-nano': [6.5, 7.8], 'shrimp-neo': [6.5, 7.8], 'shrimp-caridina': [5.5, 6.8],
    },
  },
  {
    id: 'alk-kh', name: 'alkalinity', short: 'Alk', unit: 'dKH', decimals: 1,
    aliases: ['alk', 'kh', 'dkh', 'alkalinity'],
    uncertainty: { abs: 0.5, rel: 0, join: 'larger' }, plausible: [0, 30],
    bands: {
      'reef-sps': [7, 9], 'reef-lps': [7.5, 10], 'reef-soft': [7, 11], 'fish-only': [7, 12], 'quarantine-marine': [7, 12],
      'planted-fresh': [1, 8], 'betta-nano': [2, 10], 'shrimp-neo': [2, 8], 'shrimp-caridina': [0, 1],
    },
  },
  {
    id: 'ca', name: 'calcium', short: 'Ca', unit: 'mg/L', decimals: 0,
    aliases: ['ca', 'calcium'],
    uncertainty: { abs: 20, rel: 0, join: 'larger' }, plausible: [50, 700],
    bands: { 'reef-sps': [400, 450], 'reef-lps': [390, 450], 'reef-soft': [380, 450] },
  },
  {
    id: 'mg', name: 'magnesium', short: 'Mg', unit: 'mg/L', decimals: 0,
    aliases: ['mg', 'magnesium'],
    uncertainty: { abs: 50, rel: 0, join: 'larger' }, plausible: [100, 2000],
    bands: { 'reef-sps': [1260, 1400], 'reef-lps': [1250, 1400], 'reef-soft': [1200, 1400] },
  },
  {
    id: 'k', name: 'potassium', short: 'K', unit: 'mg/L', decimals: 0,
    aliases: ['k', 'potassium'],
    uncertainty: { abs: 30, rel: 0, join: 'larger' }, plausible: [0, 700],
    bands: { 'reef-sps': [380, 420], 'reef-lps': [370, 430], 'reef-soft': [360, 430], 'planted-fresh': [5, 30] },
  },
  {
    id: 'no3', name: 'nitrate', short: 'NO3', unit: 'mg/L', decimals: 1,
    aliases: ['no3', 'nitrate'],
    uncertainty: { abs: 2, rel: 0.25, join: 'larger' }, plausible: [0, 500],
    bases: [{ id: 'NO3', perIon: 1 }, { id: 'N', perIon: 4.4268 }], kept: 'NO3',
    bands: {
      'reef-sps': [2, 10], 'reef-lps': [5, 20], 'reef-soft': [5, 30], 'fish-only': [null, 50], 'quarantine-marine': [null, 50],
      'planted-fresh': [5, 25], 'betta-nano': [null, 20], 'shrimp-neo': [null, 20], 'shrimp-caridina': [null, 10],
    },
  },
  {
    id: 'po4', name: 'phosphate', short: 'PO4', unit: 'mg/L', decimals: 2,
    aliases: ['po4', 'phosphate'],
    uncertainty: { abs: 0.05, rel: 0, join: 'larger' }, plausible: [0, 20],
    bases: [{ id: 'PO4', perIon: 1 }, { id: 'P', perIon: 3.0662 }], kept: 'PO4',
    bands: {
      'reef-sps': [0.03, 0.1], 'reef-lps': [0.03, 0.15], 'reef-soft': [0.03, 0.2], 'fish-only': [null, 0.5],
      'planted-fresh': [0.3, 2], 'betta-nano': [null, 2], 'shrimp-neo': [null, 1], 'shrimp-caridina': [null, 0.5],
    },
  },
  {
    id: 'tan', name: 'total ammonia', short: 'Amm', unit: 'mg/L', decimals: 2,
    aliases: ['tan', 'ammonia', 'nh3', 'nh4'],
    uncertainty: { abs: 0.25, rel: 0, join: 'larger' }, plausible: [0, 20],
    bases: [{ id: 'NH4', perIon: 1 }, { id: 'NH3', perIon: 1 }, { id: 'N', perIon: 1 }], kept: null,
    bands: {
      'reef-sps': [null, 0], 'reef-lps': [null, 0], 'reef-soft': [null, 0], 'fish-only': [null, 0], 'quarantine-marine': [null, 0.25],
      'planted-fresh': [null, 0], 'betta-nano': [null, 0], 'shrimp-neo': [null, 0], 'shrimp-caridina': [null, 0],
    },
  },
  {
    id: 'nh3', name: 'free ammonia', short: 'free NH3', unit: 'mg/L', decimals: 3,
    aliases: ['badge', 'free-nh3', 'freenh3'],
    uncertainty: { abs: 0.02, rel: 0, join: 'larger' }, plausible: [0, 5],
    bands: {},
  },
  {
    id: 'no2', name: 'nitrite', short: 'NO2', unit: 'mg/L', decimals: 2,
    aliases: ['no2', 'nitrite'],
    uncertainty: { abs: 0.1, rel: 0, join: 'larger' }, plausible: [0, 20],
    bands: {
      'reef-sps': [null, 0.1], 'reef-lps': [null, 0.1], 'reef-soft': [null, 0.1], 'fish-only': [null, 0.2], 'quarantine-marine': [null, 0.5],
      'planted-fresh': [null, 0], 'betta-nano': [null, 0], 'shrimp-neo': [null, 0], 'shrimp-caridina': [null, 0],
    },
  },
  {
    id: 'sio2', name: 'silica', short: 'SiO2', unit: 'mg/L', decimals: 2,
    aliases: ['sio2', 'silicate', 'silica'],
    uncertainty: { abs: 0.2, rel: 0, join: 'larger' }, plausible: [0, 40],
    bases: [{ id: 'SiO2', perIon: 1 }, { id: 'Si', perIon: 2.1393 }], kept: 'SiO2',
    bands: { 'reef-sps': [null, 0.5], 'reef-lps': [null, 0.5], 'reef-soft': [null, 1], 'fish-only': [null, 2] },
  },
  {
    id: 'gh', name: 'general hardness', short: 'GH', unit: 'dGH', decimals: 0,
    aliases: ['gh', 'dgh', 'hardness'],
    uncertainty: { abs: 1, rel: 0, join: 'larger' }, plausible: [0, 50],
    bands: { 'planted-fresh': [3, 10], 'betta-nano': [3, 15], 'shrimp-neo': [6, 12], 'shrimp-caridina': [4, 6] },
  },
  {
    id: 'copper', name: 'copper', short: 'Cu', unit: 'mg/L', decimals: 2,
    aliases: ['cu', 'copper'],
    uncertainty: { abs: 0.05, rel: 0.05, join: 'sum' }, plausible: [0, 6],
    bands: {},
  },
  {
    id: 'oxygen', name: 'oxygen', short: 'O2', unit: 'mg/L', decimals: 1,
    aliases: ['o2', 'oxygen', 'do'],
    uncertainty: { abs: 0.3, rel: 0, join: 'larger' }, plausible: [0, 20],
    bands: { 'reef-sps': [6, null], 'reef-lps': [6, null], 'reef-soft': [6, null], 'fish-only': [6, null], 'quarantine-marine': [6, null], 'planted-fresh': [5, null] },
  },
]

/** What a tank is kept as: decides its comfort bands. */
export const BAND_PROFILES: readonly BandProfile[] = [
  { id: 'reef-sps', name: 'small-polyp stony reef', water: 'marine' },
  { id: 'reef-lps', name: 'large-polyp stony reef', water: 'marine' },
  { id: 'reef-soft', name: 'soft coral reef', water: 'marine' },
  { id: 'fish-only', name: 'marine fish only', water: 'marine' },
  { id: 'quarantine-marine', name: 'marine quarantine', water: 'marine' },
  { id: 'planted-fresh', name: 'planted fresh water', water: 'freshwater' },
  { id: 'betta-nano', name: 'betta or nano', water: 'freshwater' },
  { id: 'shrimp-neo', name: 'Neocaridina shrimp', water: 'freshwater' },
  { id: 'shrimp-caridina', name: 'Caridina shrimp', water: 'freshwater' },
]
