import { useQuery } from '@tanstack/react-query'
import type { PumpReport } from '../../core/devices/messages.ts'
import { pumpReport } from './api.ts'

export const pumpKey = (channel: string) => ['pump', channel] as const
const AGAIN_MS = 30_000

/** How a pump stands by its own count, asked again every half minute. */
export function usePumpReport(channel: string): { report: PumpReport | null; problem: string | null } {
  const { data, error } = useQuery({
    queryKey: pumpKey(channel),
    queryFn: () => pumpReport(channel),
    retry: false,
    refetchInterval: AGAIN_MS,
    networkMode: 'always',
  })
  return { report: data ?? null, problem: error ? error.message : null }
}
