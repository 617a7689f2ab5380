import type { RegistryAnswer, RegistryQuestion } from "../core/education/registry-answer";

/** The port to a registry of examinations: asked by board, year and candidate number, it answers or is down. */
export interface ExaminationRegistry {
  /** @throws when the registry cannot be reached: it is asked again later */
  readonly lookUp: (question: RegistryQuestion) => Promise<RegistryAnswer>;
}

/** What the stand-in holds and how it behaves; the root files give it its store. */
export interface RegistryStore {
  readonly find: (question: RegistryQuestion) => Promise<RegistryAnswer>;
  readonly mode: () => Promise<{ readonly down: boolean; readonly delayMs: number }>;
}

/** The simulated registry: slow or down as its own page says. */
export function simulatedRegistry(store: RegistryStore): ExaminationRegistry {
  return {
    lookUp: async (question) => {
      const { down, delayMs } = await store.mode();
      await new Promise((resolve) => setTimeout(resolve, delayMs));
      if (down) throw new Error("the registry does not answer");
      return store.find(question);
    },
  };
}
