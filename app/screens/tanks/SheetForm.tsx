import type { Control, UseFormWatch } from 'react-hook-form'
import { styled } from 'styled-components'
import { SelectField, TextField } from '../../fields/fields.tsx'
import type { Problems } from '../../fields/shell.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { FieldGrid } from '../../look/page.ts'
import { Figure, Heading, Quiet, Small, Stack } from '../../look/text.ts'
import { quantityText, volume as volumeQuantity } from '../../../core/words/quantities.ts'
import { DIMENSIONS, readSheet, type SheetValues } from './sheet.ts'
import { VolumeDrawing } from './VolumeDrawing.tsx'
import type { TankVolume } from '../../../core/volume/volume.schema.ts'

const Result = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px 16px;
`

interface SheetFormProps {
  control: Control<SheetValues>
  watch: UseFormWatch<SheetValues>
  /** What was wrong when it was last sent; while typing, only the result is shown. */
  problems: Problems
}

/** The volume sheet: measured, drawn to scale as it is typed, and what it comes to. */
export function SheetForm({ control, watch, problems }: SheetFormProps) {
  const { settings } = useHousehold()
  const { units } = settings
  const values = watch()
  const { sheet, volume } = readSheet(values, units)
  const cm = units.length === 'in' ? 'in' : 'cm'
  const litres = units.volume === 'L' ? 'L' : units.volume === 'us-gal' ? 'US gal' : 'UK gal'
  const known = values.shape === 'known'
  return (
    <Stack $gap={20}>
      <Heading>Volume sheet</Heading>
      {sheet && volume && (
        <div>
          <VolumeDrawing sheet={sheet} units={units} />
          <NetVolume volume={volume} />
        </div>
      )}
      <FieldGrid>
        <SelectField
          control={control}
          name="shape"
          label="Shape"
          options={[
            { value: 'box', label: 'box' },
            { value: 'bow-front', label: 'bow front' },
            { value: 'cylinder', label: 'cylinder' },
            { value: 'hexagon', label: 'hexagon' },
            { value: 'known', label: 'volume known' },
          ]}
        />
        {DIMENSIONS[values.shape].map(([key, label]) => (
          <TextField
            key={key}
            control={control}
            name={key}
            label={label}
            after={key === 'litres' ? litres : cm}
            figure
            problem={problems[key]}
          />
        ))}
        {!known && (
          <TextField
            control={control}
            name="waterHeightCm"
            label="Water line above the floor"
            after={cm}
            figure
            problem={problems['waterHeightCm']}
            hint="the rim if left empty"
          />
        )}
      </FieldGrid>
      <FieldGrid>
        {!known && (
          <TextField
            control={control}
            name="sandCm"
            label="Sand, depth"
            after={cm}
            figure
            problem={problems['sandCm']}
          />
        )}
        {!known && values.sandCm.trim() !== '' && (
          <TextField
            control={control}
            name="porosity"
            label="Sand, share that is water"
            figure
            problem={problems['porosity']}
            hint="0.4 is usual"
          />
        )}
        <TextField control={control} name="rockKg" label="Rock, dry" after="kg" figure problem={problems['rockKg']} />
        {values.rockKg.trim() !== '' && (
          <TextField
            control={control}
            name="rockDensity"
            label="Rock, density"
            after="kg/L"
            figure
            problem={problems['rockDensity']}
            hint="2.8: the stone itself"
          />
        )}
        <TextField
          control={control}
          name="sumpL"
          label="Sump, while it runs"
          after={litres}
          figure
          problem={problems['sumpL']}
        />
        <TextField
          control={control}
          name="otherL"
          label="Taken up by the rest"
          after={litres}
          figure
          problem={problems['otherL']}
          hint="pipes, filters, decoration"
        />
      </FieldGrid>
      <Small>
        Inner measures. Doses go by the net volume: sand, rock and the real water line take 10 to 35 % off the number on
        the box.
      </Small>
    </Stack>
  )
}

/** What the sheet comes to: the net volume first and largest. */
export function NetVolume({ volume }: { volume: TankVolume }) {
  const { settings } = useHousehold()
  const say = (litres: number) => quantityText(volumeQuantity(litres, settings.units))
  return (
    <Result>
      <Figure $size={40}>{say(volume.netL)}</Figure>
      <span>net</span>
      <Quiet>
        {say(volume.grossL)} to the rim · {say(volume.filledL)} to the water line · {say(volume.displacedL)} taken up
      </Quiet>
    </Result>
  )
}
