/** Posts a message every so many ms, from the first message on. */
self.onmessage = (message: MessageEvent<number>) => {
  setInterval(() => self.postMessage(null), message.data);
};
