import { useState } from 'react'
import { parameterById, typicalUncertainty, type Parameter } from '../../../../core/catalogue/parameter.ts'
import type { DeviceOffered } from '../../../../core/devices/messages.ts'
import { noteOf, type AttachedDevice } from '../../../../core/household/devices.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { parameterValue, quantityText } from '../../../../core/words/quantities.ts'
import { measureNow } from '../../../devices/api.ts'
import { UnkeptNote, useKeeping } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { Bar, Figure, Line, Small, Stack } from '../../../look/text.ts'

/** A photometer: one test at a time, shown before it is kept. */
export function PhotometerView({ device, offered }: { device: AttachedDevice; offered: DeviceOffered }) {
  const { settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [measuring, setMeasuring] = useState<string | null>(null)
  const [found, setFound] = useState<{ parameter: Parameter; reading: ContentOf<'reading'>; value: number } | null>(
    null,
  )
  const [said, setSaid] = useState<{ problem: boolean; words: string } | null>(null)
  const measure = async (parameter: Parameter) => {
    setMeasuring(parameter.name)
    setFound(null)
    setSaid(null)
    try {
      const { value, at } = await measureNow(device.channel, parameter.id)
      setFound({
        parameter,
        value,
        reading: {
          kind: 'reading',
          happened: at,
          tankId: device.tankId,
          parameter: parameter.id,
          result: { kind: 'value', value },
          unit: parameter.unit,
          uncertainty: typicalUncertainty(parameter, value),
          origin: 'photometer',
          deviceId: device.deviceId,
          ...noteOf(device),
        },
      })
    } catch (error) {
      setSaid({ problem: true, words: (error as Error).message })
    } finally {
      setMeasuring(null)
    }
  }
  return (
    <Stack $gap={14}>
      <Line $gap={8} role="group" aria-label="What to measure">
        {offered.measures.flatMap(({ parameter: id }) => {
          const parameter = parameterById(id)
          return parameter
            ? [
                <Button key={id} isDisabled={measuring !== null} onPress={() => void measure(parameter)}>
                  {parameter.name}
                </Button>,
              ]
            : []
        })}
      </Line>
      {measuring && <Small role="status">Measuring {measuring} …</Small>}
      {found && (
        <Line $gap={16}>
          <span role="status">
            {found.parameter.name}{' '}
            <Figure $size={28}>{quantityText(parameterValue(found.parameter.id, found.value, settings.units))}</Figure>
          </span>
          <PrimaryButton
            isDisabled={busy}
            onPress={() =>
              void keep([found.reading]).then((kept) => {
                if (!kept) return
                setFound(null)
                setSaid({ problem: false, words: `${found.parameter.name} kept.` })
              })
            }
          >
            Keep it
          </PrimaryButton>
          <PlainButton onPress={() => setFound(null)}>leave it</PlainButton>
        </Line>
      )}
      {said &&
        (said.problem ? (
          <Bar $tone="act" role="alert">
            {said.words}
          </Bar>
        ) : (
          <Small role="status">{said.words}</Small>
        ))}
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}
