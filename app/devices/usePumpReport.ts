import { useQuery, useQueryClient } from '@tanstack/react-query'
import type { PumpReport } from '../../core/devices/messages.ts'
import { pumpReport } from './api.ts'

export const pumpKey = (channel: string) => ['pump', channel] as const
const AGAIN_MS = 30_000

/** What a pump answered last. */
interface Answered {
  report: PumpReport | null
  /** Why there is none: it did not answer, or not as it should. It stands until it answers again. */
  problem: string | null
  /** What it answered before: only its later shots are asked for. */
  known: PumpReport | null
}

/** How a pump stands by its own count, asked again every half minute. */
export function usePumpReport(channel: string): Pick<Answered, 'report' | 'problem'> {
  const client = useQueryClient()
  const { data } = useQuery({
    queryKey: pumpKey(channel),
    queryFn: async (): Promise<Answered> => {
      const known = client.getQueryData<Answered>(pumpKey(channel))?.known ?? null
      try {
        const report = await pumpReport(channel, known)
        return { report, problem: null, known: report }
      } catch (error) {
        return { report: null, problem: (error as Error).message, known }
      }
    },
    retry: false,
    refetchInterval: AGAIN_MS,
    networkMode: 'always',
  })
  return { report: data?.report ?? null, problem: data?.problem ?? null }
}
