/** What a test typed and left, the next one does not find: drafts of forms live in local storage. */
afterEach(() => {
  if (typeof localStorage !== 'undefined') localStorage.clear()
})
