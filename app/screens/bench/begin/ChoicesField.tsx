import { styled } from 'styled-components'
import type { ProcedureChoice } from '../../../../core/catalogue/procedures/procedure.types.ts'
import { Heading, Small } from '../../../look/text.ts'

const Choice = styled.label`
  display: flex;
  gap: 12px;
  align-items: flex-start;
  min-height: 44px;
  padding: 8px 0;
  border-bottom: 1px dotted var(--strong-rule);
  cursor: pointer;
  input {
    width: 22px;
    height: 22px;
    margin: 2px 0 0;
    accent-color: var(--second);
    flex: none;
  }
`

/** One choice that is made before a procedure begins, with what speaks for each. */
export function ChoicesField({
  choice,
  value,
  onChange,
}: {
  choice: ProcedureChoice
  value: string
  onChange: (option: string) => void
}) {
  return (
    <section>
      <Heading>{choice.label}</Heading>
      <div role="radiogroup" aria-label={choice.label}>
        {choice.options.map(({ id, label, why }) => (
          <Choice key={id}>
            <input
              type="radio"
              name={choice.id}
              checked={value === id}
              onChange={() => onChange(id)}
              aria-label={label}
            />
            <span>
              {label}
              {why !== undefined && <Small>{why}</Small>}
            </span>
          </Choice>
        ))}
      </div>
    </section>
  )
}
