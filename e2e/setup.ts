import { App } from './app'

/** Once for all files. */
export default App.fillDemoBook
