import { getHeader, setResponseHeader } from 'h3'
import { textRoute } from '../../http/route'
import { trustPage } from '../../lan/trust-page'
import { theHouse } from '../../services/phones'

export default textRoute(async ({ event }) => {
  const { html, policy } = trustPage(theHouse(), getHeader(event, 'user-agent') ?? '')
  setResponseHeader(event, 'content-security-policy', policy)
  return { type: 'text/html; charset=utf-8', text: html }
})
