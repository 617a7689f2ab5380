"use client";

import { Button, Input, Select } from "antd";
import { useActionState, useState } from "react";
import { BY_PROGRAMME, ROLES, type Role } from "../../core/rights/actor";
import { Labelled } from "../rulebook/part-fields.client";

export interface Programme {
  readonly code: string;
  readonly title: string;
}

const ALL = "*";
const TO_GIVE = ROLES.filter((role) => role !== "agent");

/** A role, over which programmes, and until when. */
function HeldRole({ programmes }: { programmes: readonly Programme[] }) {
  const [role, setRole] = useState<Role>("officer");
  const [scope, setScope] = useState(ALL);
  const whole = !BY_PROGRAMME.includes(role);
  return (
    <>
      <Labelled label="Role">
        {(id) => (
          <Select
            id={id}
            value={role}
            onChange={setRole}
            options={TO_GIVE.map((r) => ({ value: r, label: r }))}
            style={{ width: 200 }}
          />
        )}
      </Labelled>
      <input type="hidden" name="role" value={role} />
      <Labelled label="Over">
        {(id) => (
          <Select
            id={id}
            value={whole ? ALL : scope}
            disabled={whole}
            onChange={setScope}
            options={[
              { value: ALL, label: "the whole office" },
              ...programmes.map((p) => ({ value: p.code, label: `${p.code} ${p.title}` })),
            ]}
            style={{ width: 280 }}
            showSearch={{ optionFilterProp: "label" }}
          />
        )}
      </Labelled>
      <input type="hidden" name="scope" value={whole ? ALL : scope} />
      <Labelled label="Until (to cover for somebody)">
        {(id) => <Input id={id} name="until" type="date" style={{ width: 170 }} />}
      </Labelled>
    </>
  );
}

type Acting = (said: string | null, form: FormData) => Promise<string>;

/** Invites somebody to the office. */
export function InviteForm({ action, programmes }: { action: Acting; programmes: readonly Programme[] }) {
  const [said, run, busy] = useActionState(action, null);
  const [name, setName] = useState("");
  const [email, setEmail] = useState("");
  return (
    <form action={run} className="staff-form">
      <Labelled label="Name">
        {(id) => <Input id={id} name="name" value={name} onChange={(e) => setName(e.target.value)} />}
      </Labelled>
      <Labelled label="E-mail">
        {(id) => <Input id={id} name="email" type="email" value={email} onChange={(e) => setEmail(e.target.value)} />}
      </Labelled>
      <HeldRole programmes={programmes} />
      <Button type="primary" htmlType="submit" loading={busy}>
        Invite
      </Button>
      {said ? <p role="status">{said}</p> : null}
    </form>
  );
}

/** Gives one more role to somebody who is there. */
export function GiveRoleForm({
  action,
  people,
  programmes,
}: {
  action: Acting;
  people: readonly { readonly id: string; readonly name: string }[];
  programmes: readonly Programme[];
}) {
  const [said, run, busy] = useActionState(action, null);
  const [personId, setPersonId] = useState<string | null>(null);
  return (
    <form action={run} className="staff-form">
      <Labelled label="Who">
        {(id) => (
          <Select
            id={id}
            value={personId}
            onChange={setPersonId}
            placeholder="Choose a name"
            options={people.map((p) => ({ value: p.id, label: p.name }))}
            style={{ width: 220 }}
            showSearch={{ optionFilterProp: "label" }}
          />
        )}
      </Labelled>
      <input type="hidden" name="personId" value={personId ?? ""} />
      <HeldRole programmes={programmes} />
      <Button htmlType="submit" loading={busy} disabled={personId === null}>
        Give the role
      </Button>
      {said ? <p role="status">{said}</p> : null}
    </form>
  );
}
