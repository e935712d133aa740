import { configure } from '@testing-library/react'
/** What a test typed and left, the next one does not find: drafts of forms live in local storage. */
afterEach(() => {
  if (typeof localStorage !== 'undefined') localStorage.clear()
})

// Rooms that come with the first use are read from disk here, on a busy machine: a second is too little.
configure({ asyncUtilTimeout: 5000 })
