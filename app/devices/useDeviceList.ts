import { useQuery } from '@tanstack/react-query'
import { useEffect, useSyncExternalStore } from 'react'
import type { DeviceList } from '../../core/devices/messages.ts'
import { fetchDevices } from './api.ts'
import { deviceStream } from './stream.ts'

export const DEVICES_KEY = ['devices'] as const
const AGAIN_MS = 20_000

interface Answered {
  list: DeviceList | null
  /** Why there is none; it stands until the server answers again. */
  problem: string | null
}

/** The devices that the server offers; null while it is asked, and what is wrong where none answers. */
export function useDeviceList(): Answered {
  const { data } = useQuery({
    queryKey: DEVICES_KEY,
    queryFn: async (): Promise<Answered> => {
      try {
        return { list: await fetchDevices(), problem: null }
      } catch (error) {
        return { list: null, problem: (error as Error).message }
      }
    },
    retry: false,
    refetchInterval: AGAIN_MS,
    networkMode: 'always',
  })
  const list = data?.list ?? null
  useEffect(() => {
    if (list) deviceStream.expect(list)
  }, [list])
  return { list, problem: data?.problem ?? null }
}

/** Draws again as samples come in. */
export const useDeviceStream = (): number => useSyncExternalStore(deviceStream.subscribe, deviceStream.version)

/** How often the stream was opened again after a break: what came meanwhile is asked for. */
export const useStreamReopened = (): number => useSyncExternalStore(deviceStream.subscribe, deviceStream.reopened)
