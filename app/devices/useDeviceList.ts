import { useQuery } from '@tanstack/react-query'
import { useEffect, useSyncExternalStore } from 'react'
import type { DeviceList } from '../../core/devices/messages.ts'
import { fetchDevices } from './api.ts'
import { deviceStream } from './stream.ts'

export const DEVICES_KEY = ['devices'] as const
const AGAIN_MS = 20_000

/** The devices that the server offers; null while it is asked, and what is wrong where none answers. */
export function useDeviceList(): { list: DeviceList | null; problem: string | null } {
  const { data, error } = useQuery({
    queryKey: DEVICES_KEY,
    queryFn: fetchDevices,
    retry: false,
    refetchInterval: AGAIN_MS,
    networkMode: 'always',
  })
  useEffect(() => {
    if (data) deviceStream.expect(data)
  }, [data])
  return { list: data ?? null, problem: error ? error.message : null }
}

/** Draws again as samples come in. */
export const useDeviceStream = (): number => useSyncExternalStore(deviceStream.subscribe, deviceStream.version)
