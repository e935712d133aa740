import { useForm } from 'react-hook-form'
import { useSearchParams } from 'react-router'
import { tankById, tanksOf, type Tank } from '../../../core/household/tanks.ts'
import { SelectField } from '../../fields/fields.tsx'
import { useHousehold } from '../../journal/provider.tsx'

/** The tank that a part of the water log is about, by its address, and the field that picks another. */
export function useTankOfPage(options: { retired?: boolean } = {}): { tank: Tank; field: React.ReactNode } {
  const { journal } = useHousehold()
  const [params, setParams] = useSearchParams()
  const tanks = tanksOf(journal, options)
  const tank = tankById(journal, params.get('tank') ?? '') ?? tanks[0]!
  const form = useForm({ values: { tankId: tank.id } })
  const pick = (id: string) =>
    setParams((before) => {
      before.set('tank', id)
      return before
    })
  return {
    tank,
    field: (
      <SelectField
        control={form.control}
        name="tankId"
        label="Tank"
        options={tanks.map(({ id, name }) => ({ value: id, label: name }))}
        onPick={pick}
      />
    ),
  }
}
