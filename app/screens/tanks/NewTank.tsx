import { useNavigate } from 'react-router'
import { Page } from '../../look/page.ts'
import { Stack, Title } from '../../look/text.ts'
import { styled } from 'styled-components'
import { TankForm } from './TankForm.tsx'

const Wide = styled.div`
  max-width: 860px;
`

export function NewTank() {
  const navigate = useNavigate()
  return (
    <Page>
      <Wide>
        <Stack $gap={22}>
          <Title>Set up a tank</Title>
          <TankForm
            tank={null}
            onDone={(tankId) => void navigate(`/tanks/${tankId}`)}
            onCancel={() => void navigate(-1)}
          />
        </Stack>
      </Wide>
    </Page>
  )
}
