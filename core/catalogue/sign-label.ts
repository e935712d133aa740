import { ARRIVAL_LABELS } from './arrival-labels.data.ts'
import { signById } from './sign.ts'

const onArrival: Readonly<Record<string, string>> = ARRIVAL_LABELS

/** How a sign is printed, whichever table it stands in. */
export const signLabel = (sign: string): string => signById(sign)?.label ?? onArrival[sign] ?? sign
