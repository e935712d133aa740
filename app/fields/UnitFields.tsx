import type { Control } from 'react-hook-form'
import type { UnitHabits } from '../../core/household/settings.ts'
import { FieldGrid } from '../look/page.ts'
import { SelectField } from './fields.tsx'

/** How a household measures. */
export function UnitFields({ control }: { control: Control<UnitHabits & { timeZone: string }> }) {
  return (
    <FieldGrid>
      <SelectField
        control={control}
        name="volume"
        label="Volumes in"
        options={[
          { value: 'L', label: 'litres' },
          { value: 'us-gal', label: 'US gallons' },
          { value: 'uk-gal', label: 'UK gallons' },
        ]}
      />
      <SelectField
        control={control}
        name="length"
        label="Lengths in"
        options={[
          { value: 'cm', label: 'centimetres' },
          { value: 'in', label: 'inches' },
        ]}
      />
      <SelectField
        control={control}
        name="temperature"
        label="Temperatures in"
        options={[
          { value: 'C', label: '°C' },
          { value: 'F', label: '°F' },
        ]}
      />
      <SelectField
        control={control}
        name="salinity"
        label="Salinity as"
        options={[
          { value: 'psu', label: 'psu (ppt)' },
          { value: 'sg', label: 'specific gravity' },
        ]}
      />
      <SelectField
        control={control}
        name="alkalinity"
        label="Alkalinity in"
        options={[
          { value: 'dKH', label: 'dKH' },
          { value: 'meq', label: 'meq/L' },
          { value: 'ppm', label: 'ppm CaCO3' },
        ]}
      />
    </FieldGrid>
  )
}
