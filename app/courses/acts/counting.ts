/** Counts and scores come in one file: they share the drawings, and small files pack badly. */
export { CountAct } from './CountAct.tsx'
export { MeasureAct } from './MeasureAct.tsx'
