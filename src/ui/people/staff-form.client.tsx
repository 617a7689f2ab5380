"use client";

import { Button, Input, Select } from "antd";
import { useActionState, useState } from "react";
import { ROLES } from "../../core/rights/actor";

/** Invites a member of staff. */
export function StaffForm({ action }: { action: (said: string | null, form: FormData) => Promise<string> }) {
  const [said, run, busy] = useActionState(action, null);
  const [name, setName] = useState("");
  const [email, setEmail] = useState("");
  const [role, setRole] = useState<string>("officer");
  return (
    <form action={run} className="staff-form">
      <div className="field">
        <label htmlFor="staff-name">Name</label>
        <Input id="staff-name" name="name" value={name} onChange={(e) => setName(e.target.value)} />
      </div>
      <div className="field">
        <label htmlFor="staff-email">E-mail</label>
        <Input id="staff-email" name="email" type="email" value={email} onChange={(e) => setEmail(e.target.value)} />
      </div>
      <div className="field">
        <label htmlFor="staff-role">Role</label>
        <Select
          id="staff-role"
          value={role}
          onChange={setRole}
          options={ROLES.filter((r) => r !== "agent").map((r) => ({ value: r, label: r }))}
          style={{ width: 200 }}
        />
        <input type="hidden" name="role" value={role} />
      </div>
      <Button type="primary" htmlType="submit" loading={busy}>
        Invite
      </Button>
      {said ? <p role="status">{said}</p> : null}
    </form>
  );
}
