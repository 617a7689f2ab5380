import { TASKS, type TaskInput, type TaskName, type TaskResult } from "./tasks";
import type { Workshop } from "./workshop";

/** A workshop that works where it stands, without a process of its own: for documents of our own making. */
export const IN_PLACE: Pick<Workshop, "run"> = {
  run: <Name extends TaskName>(name: Name, input: TaskInput<Name>) =>
    TASKS[name](input as never) as Promise<TaskResult<Name>>, // the pair is of one task
};
