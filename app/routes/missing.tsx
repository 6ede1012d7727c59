export function loader(): never {
  throw new Response("Not found", { status: 404 });
}

export default function Missing() {
  return null;
}
