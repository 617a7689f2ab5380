import Link from "next/link";

export default function NoPermission() {
  return (
    <div className="office-sheet">
      <h1>Your roles do not open this page</h1>
      <p>An administrator can give you the role that does. Roles are kept under Settings.</p>
      <p>
        <Link href="/account">Your account</Link>
      </p>
    </div>
  );
}
