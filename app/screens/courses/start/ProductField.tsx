import type { Control } from 'react-hook-form'
import { ingredientById } from '../../../../core/catalogue/ingredient.ts'
import { shelfOf } from '../../../../core/household/shelf.ts'
import { SelectField } from '../../../fields/fields.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink } from '../../../look/buttons.ts'
import type { StartValues } from '../../../../core/courses/start-form/start-form.ts'

/** A product of the shelf by its active ingredient; the way to the shelf where there is none. */
export function ProductField({
  control,
  name,
  label,
  agent,
  problem,
}: {
  control: Control<StartValues>
  name: 'productId' | `products.${string}`
  label: string
  agent: string
  problem: Problem | undefined
}) {
  const { journal } = useHousehold()
  const products = shelfOf(journal).filter(({ ingredient }) => ingredient === agent)
  return (
    <>
      <SelectField
        control={control}
        name={name}
        label={label}
        problem={problem}
        options={[
          ...(products.length === 0
            ? [{ value: '', label: `no ${ingredientById(agent)?.name ?? agent} on the shelf` }]
            : []),
          ...products.map(({ id, name: productName }) => ({ value: id, label: productName })),
        ]}
      />
      {products.length === 0 && (
        <div>
          <ButtonLink href={`/shelf/new?ingredient=${agent}`}>Add product, with its strength</ButtonLink>
        </div>
      )}
    </>
  )
}
