/** Password of the demo's accounts, as the sign-in page shows it. */
export const DEMO_PASSWORD = 'upper-still-demo';

/**
 * Signs a browser's cookies in without the page.
 * @param {import('@playwright/test').APIRequestContext} request
 * @param {string} address
 * @param {string} account
 */
export async function signIn(request, address, account = 'coordinator') {
  const { token } = await (await request.get(`${address}/api/session`)).json();
  const answer = await request.post(`${address}/api/session`, {
    headers: { 'X-Upper-Still': token },
    data: { signInName: account, password: DEMO_PASSWORD },
  });
  if (!answer.ok()) {
    throw new Error(`Signing in as ${account} gave ${answer.status()}.`);
  }
}
