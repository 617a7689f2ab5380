import { and, eq, isNull } from "drizzle-orm";
import { addTaskInput, dropTaskInput, finishTaskInput } from "../../core/assessment/inputs";
import { task } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";

/** An officer makes work of something that an applicant stated, for whoever works on the file, by a day. */
export const addTask = defineFileAct({
  name: "add-task",
  input: addTaskInput,
  right: "office",
  about: ({ section }) => ({ section }), // what is written stays where it can be erased
  run: async (ctx, file, { section, title, due }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const sections = Object.values(file.rulebooks).flatMap((r) => r.body.sections);
    if (section !== "" && !sections.some((s) => s.key === section)) return refuse("not-found");
    await ctx.db.insert(task).values({
      applicationId: file.id,
      section,
      title,
      due,
      byId: ctx.actor.id,
      at: ctx.now,
    });
    return done(null);
  },
});

const open = (fileId: string, taskId: string) =>
  and(eq(task.id, taskId), eq(task.applicationId, fileId), isNull(task.doneAt));

/** It is done, with what came of it. Of two who say so the second is told. */
export const finishTask = defineFileAct({
  name: "finish-task",
  input: finishTaskInput,
  right: "office",
  about: ({ taskId }) => ({ task: taskId }),
  run: async (ctx, file, { taskId, outcome }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const ended = await ctx.db
      .update(task)
      .set({ doneAt: ctx.now, doneById: ctx.actor.id, outcome })
      .where(open(file.id, taskId))
      .returning({ id: task.id });
    return ended[0] ? done(null) : refuse("already-done");
  },
});

/** It was no work after all. */
export const dropTask = defineFileAct({
  name: "drop-task",
  input: dropTaskInput,
  right: "office",
  about: ({ taskId }) => ({ task: taskId }),
  run: async (ctx, file, { taskId }) => {
    const gone = await ctx.db.delete(task).where(open(file.id, taskId)).returning({ title: task.title });
    return gone[0] ? done(null) : refuse("already-done");
  },
});
