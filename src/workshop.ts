import sharp from "sharp";
import { type Answer, type Order, TASKS } from "./formats/workshop/tasks";

/** The process in which the bytes of strangers are looked at and printed. It does one thing at a time and ends with whoever started it. */
sharp.concurrency(1);
sharp.cache(false);

async function answerTo({ name, input }: Order): Promise<Answer> {
  try {
    return { ok: true, value: await TASKS[name](input as never) }; // whoever ordered it has checked the pair
  } catch (error) {
    return { ok: false, message: error instanceof Error ? error.message : String(error) };
  }
}

process.on("message", (order: Order) => void answerTo(order).then((answer) => process.send?.(answer)));
process.on("disconnect", () => process.exit(0));
process.send?.("ready");
