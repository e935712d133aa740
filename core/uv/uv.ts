import { ok, type Result } from '../result/result.ts'
import type { UvSize, UvSizeInput } from './uv.schema.ts'

const CM3_PER_L = 1000
const SECONDS_PER_HOUR = 3600
const MW_PER_W = 1000

/**
 * What a steriliser gives the water that passes it once, and how often all of it passes: an annular chamber with a line
 * source, dose = power · gap · transmission / flow (design contract).
 */
export function uvSize({ uvcWatts, gapCm, flowLPerHour, volumeL, transmission = 1 }: UvSizeInput): Result<UvSize> {
  const flowCm3PerSecond = (flowLPerHour * CM3_PER_L) / SECONDS_PER_HOUR
  return ok({
    doseMjPerCm2: (MW_PER_W * uvcWatts * gapCm * transmission) / flowCm3PerSecond,
    turnoversPerHour: flowLPerHour / volumeL,
  })
}
