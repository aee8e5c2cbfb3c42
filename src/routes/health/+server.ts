/** Says that the server is up; no more. */
export const GET = () => new Response('ok', { headers: { 'content-type': 'text/plain' } });
