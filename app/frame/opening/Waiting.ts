import { styled } from 'styled-components'

export const Waiting = styled.div`
  padding: 40px 24px;
  max-width: 640px;
`
