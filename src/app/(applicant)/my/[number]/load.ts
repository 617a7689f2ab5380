import "server-only";
import { notFound } from "next/navigation";
import { cache } from "react";
import type { MyApplication } from "../../../../views/application/application-data";
import { myApplication } from "../../../../views/application/my-application";
import type { Identity } from "../../../../views/people/identity";
import { requirePerson, see } from "../../../request";

interface Loaded {
  readonly application: MyApplication;
  readonly personId: string;
  readonly actor: Identity["actor"];
}

/** The application of the page's address, for the person signed in; anything else does not exist. */
export const loadApplication = cache(async (number: string): Promise<Loaded> => {
  const person = await requirePerson(`/my/${number}`);
  const application = await see(myApplication, person.actor, { number });
  if (!application) notFound();
  return { application, personId: person.actor.id, actor: person.actor };
});
