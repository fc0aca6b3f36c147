/** Says that this process answers; nothing of the bakery. */
export function GET(): Response {
  return Response.json({ alive: true });
}
