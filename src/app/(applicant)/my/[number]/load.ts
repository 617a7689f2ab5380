import "server-only";
import { notFound } from "next/navigation";
import { cache } from "react";
import { type MyApplication, myApplication } from "../../../../views/my-application";
import { requirePerson, see } from "../../../request";

/** The application of the page's address, for the person signed in; anything else does not exist. */
export const loadApplication = cache(
  async (number: string): Promise<{ readonly application: MyApplication; readonly personId: string }> => {
    const person = await requirePerson(`/my/${number}`);
    const application = await see(myApplication, person.actor, { number });
    if (!application) notFound();
    return { application, personId: person.actor.id };
  },
);
