import { openBytesRoute } from '../../http/file-route'
import { authorityFile } from '../../services/phones'

export default openBytesRoute(() => authorityFile())
