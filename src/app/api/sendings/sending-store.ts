import "server-only";
import type { Readable } from "node:stream";
import { DataStore, ERRORS, Upload } from "@tus/server";
import { beginSending, dropSending, sendPart } from "../../../acts/evidence/sendings";
import { SENDING_PART_BYTES } from "../../../core/evidence/limits";
import { sending } from "../../../views/evidence/sending";
import type { Identity } from "../../../views/people/identity";
import { perform, see } from "../../request";

/** Where the parts of files are kept that one person sends: nobody else's are found. */
export class SendingStore extends DataStore {
  constructor(private readonly actor: Identity["actor"]) {
    super();
    this.extensions = ["creation", "termination"];
  }

  override async create(file: Upload): Promise<Upload> {
    const begun = await perform(beginSending, this.actor, {
      name: file.metadata?.filename ?? "",
      size: file.size ?? 0,
    });
    if (!begun.ok) throw ERRORS.INVALID_LENGTH;
    file.id = begun.value.id;
    return file;
  }

  override async getUpload(id: string): Promise<Upload> {
    const found = await see(sending, this.actor, { id });
    if (!found) throw ERRORS.FILE_NOT_FOUND;
    return new Upload({ id, size: found.size, offset: found.arrived, metadata: { filename: found.name } });
  }

  /** Keeps what comes part by part, so that a broken line loses no more than the part on its way. */
  override async write(stream: Readable, id: string, offset: number): Promise<number> {
    let first = offset;
    let waiting: Buffer[] = [];
    const keep = async () => {
      const bytes = Buffer.concat(waiting);
      waiting = [];
      if (bytes.length === 0) return;
      const kept = await perform(sendPart, this.actor, { id, first, bytes });
      if (!kept.ok) throw ERRORS.INVALID_OFFSET;
      first = kept.value.arrived;
    };
    for await (const chunk of stream) {
      waiting.push(Buffer.from(chunk));
      if (waiting.reduce((sum, b) => sum + b.length, 0) >= SENDING_PART_BYTES) await keep();
    }
    await keep();
    return first;
  }

  override async remove(id: string): Promise<void> {
    await perform(dropSending, this.actor, { id });
  }
}
