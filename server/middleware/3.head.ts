/** HEAD is GET without the body, which Node leaves out by itself once it has seen the word. */
export default defineEventHandler(event => {
  if (event.method === 'HEAD' && event.path.startsWith('/api/')) {
    event.node.req.method = 'GET'
    // The method is read once and remembered.
    event._method = 'GET'
  }
})
