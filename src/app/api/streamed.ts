/** Chunks as the body of an answer: each is fetched when the reader wants it, and none after the reader has gone. */
export const streamed = (chunks: AsyncGenerator<Uint8Array>): ReadableStream<Uint8Array> =>
  new ReadableStream({
    pull: async (controller) => {
      const { done, value } = await chunks.next();
      if (done) controller.close();
      else controller.enqueue(value);
    },
    cancel: async () => {
      await chunks.return(undefined);
    },
  });
