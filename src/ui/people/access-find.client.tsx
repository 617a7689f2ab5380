"use client";

import { Button, Input } from "antd";
import { useId } from "react";

/** Looks through the access record by a person or a file; the address keeps what was looked for. */
export function AccessFind({ subject, find }: { subject: string; find: string }) {
  const id = useId();
  return (
    <form className="access-find" action="/office/access">
      <input type="hidden" name="subject" value={subject} />
      <label htmlFor={id}>Person or file</label>
      <Input id={id} name="find" defaultValue={find} placeholder="a name, an address, 27-00017" allowClear />
      <Button htmlType="submit">Find</Button>
    </form>
  );
}
