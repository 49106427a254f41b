/** Signs the demo's coordinator in; gives what asks on their behalf: a string or bytes go as they are, anything else as JSON. */
export async function coordinator(address) {
  let cookie = '';
  let token = '';
  async function ask(method, path, body, type = 'application/json') {
    const answer = await fetch(address + path, {
      method,
      body: body === undefined || typeof body === 'string' || body instanceof Uint8Array ? body : JSON.stringify(body),
      headers: { 'content-type': type, cookie, 'x-upper-still': token },
    });
    for (const one of answer.headers.getSetCookie()) {
      cookie = [cookie, one.split(';')[0]].filter(Boolean).join('; ');
    }
    return { status: answer.status, text: await answer.text() };
  }
  token = JSON.parse((await ask('GET', '/api/session')).text).token;
  token = JSON.parse((await ask('POST', '/api/session', { signInName: 'coordinator', password: 'upper-still-demo' })).text).token;
  return ask;
}
