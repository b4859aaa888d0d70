/** Lets messages in that wait. A timer would do so too, but browsers let each of many wait for 4 ms. */
export function nextMessage(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      resolve()
    }
    port2.postMessage(null)
  })
}
