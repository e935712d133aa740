import { styled } from 'styled-components'

/** The body of a screen other than the ledger. */
export const Page = styled.div`
  padding: 22px 24px 48px;
  max-width: 1280px;
  @media (max-width: 759px) {
    padding: 16px 16px 40px;
  }
`

/** A wide part and a narrow one beside it; one under the other on the phone. */
export const TwoParts = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) minmax(280px, 1fr);
  gap: 28px 36px;
  align-items: start;
  @media (max-width: 899px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

export const FieldGrid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 16px;
  align-items: start;
`

export const PageHead = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 6px 20px;
  margin-bottom: 18px;
`

export const Narrow = styled.div`
  max-width: 640px;
`
