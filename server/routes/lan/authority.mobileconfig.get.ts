import { openBytesRoute } from '../../http/file-route'
import { authorityAsProfile } from '../../services/phones'

export default openBytesRoute(() => authorityAsProfile())
