import net from "node:net";

/** A mail server that takes its time: it answers that it has a mail only when it is told to. */
export interface SlowSmtp {
  readonly url: string;
  /** The mails that it was given whole, as they came. */
  readonly taken: readonly string[];
  /** Resolves as soon as a mail waits for its answer. */
  readonly waiting: () => Promise<void>;
  readonly answer: () => void;
  readonly close: () => Promise<void>;
}

export async function slowSmtp(): Promise<SlowSmtp> {
  const taken: string[] = [];
  let tell: () => void = () => undefined;
  let arrived = new Promise<void>((resolve) => {
    tell = resolve;
  });
  const held: (() => void)[] = [];
  const server = net.createServer((socket) => {
    let data: string | null = null;
    socket.on("error", () => undefined);
    socket.write("220 slow\r\n");
    socket.on("data", (chunk) => {
      if (data !== null) {
        data += chunk.toString();
        if (!data.endsWith("\r\n.\r\n")) return;
        taken.push(data);
        data = null;
        held.push(() => socket.write("250 taken\r\n"));
        return tell();
      }
      for (const line of chunk.toString().split("\r\n").filter(Boolean))
        if (/^DATA/iu.test(line)) {
          data = "";
          socket.write("354 go on\r\n");
        } else if (/^QUIT/iu.test(line)) socket.end("221 bye\r\n");
        else socket.write("250 fine\r\n");
    });
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const address = server.address();
  return {
    url: `smtp://127.0.0.1:${typeof address === "object" ? address?.port : ""}?ignoreTLS=true`,
    taken,
    waiting: () => arrived,
    answer: () => {
      arrived = new Promise<void>((resolve) => {
        tell = resolve;
      });
      for (const go of held.splice(0)) go();
    },
    close: () => new Promise((resolve) => server.close(() => resolve())),
  };
}
