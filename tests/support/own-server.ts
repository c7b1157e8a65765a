// Each worker of the server's tests has a server and a database of its own, as the test command started them.
const servers = JSON.parse(process.env.WEMBRIC_TEST_SERVERS ?? '[]') as Record<string, string>[]
const number = Number(process.env.VITEST_POOL_ID ?? 1) - 1
if (servers.length > 0) Object.assign(process.env, servers[number % servers.length])
