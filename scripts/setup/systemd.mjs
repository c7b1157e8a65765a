import { StopWithWords } from './say.mjs'

export const NAME = 'wembric.service'

/** What a start reads of the environment, and a service is to be given too. */
const HANDED_ON = [
  ...['PORT', 'HOST', 'WEMBRIC_OUTBOX', 'WEMBRIC_BACKUPS', 'WEMBRIC_NIGHTLY', 'WEMBRIC_TRUSTED_PROXY', 'WEMBRIC_TLS'],
  ...['WEMBRIC_DB_URL', 'WEMBRIC_MIGRATION_DB_URL', 'WEMBRIC_SESSION_SECRET', 'WEMBRIC_BACKUP_PASSWORD'],
  ...['WEMBRIC_METRICS_TOKEN', 'WEMBRIC_TLS_CERT', 'WEMBRIC_TLS_KEY', 'WEMBRIC_NAME', 'WEMBRIC_TRUST_PORT'],
]
/** A value as a unit has it; in quotes, percent signs doubled. @throws StopWithWords for a line break */
function quoted(value) {
  if (/[\r\n]/.test(value))
    throw new StopWithWords('a line break cannot stand in a service. Take it out of the setting.')
  return `"${value.replaceAll('\\', '\\\\').replaceAll('"', '\\"').replaceAll('%', '%%')}"`
}

/**
 * The systemd unit that runs Wembric: started with the computer, started again when it ends, bounded in what it takes.
 * Its log goes to the journal, which keeps and rotates it.
 * @param user whose account it runs under; null for a unit of one's own
 */
export function unitFor({ root, node, data, env, lan, user }) {
  const settings = { WEMBRIC_DATA: data, WEMBRIC_LOG: 'json' }
  for (const name of HANDED_ON) if (env[name]) settings[name] = env[name]
  return `[Unit]
Description=Wembric, the shop's server
After=network-online.target
Wants=network-online.target
# ten ends within five minutes are a fault that a start does not mend
StartLimitIntervalSec=300
StartLimitBurst=10

[Service]
Type=exec
WorkingDirectory=${root.replaceAll('%', '%%')}
ExecStart=${quoted(node)} ${quoted(`${root}/scripts/start.mjs`)}${lan ? ' --lan' : ''}
${Object.entries(settings)
  .map(([name, value]) => `Environment=${quoted(`${name}=${value}`)}`)
  .join('\n')}
${user ? `User=${user}\n` : ''}Restart=always
RestartSec=5
# a first start installs and builds; an end writes down what MariaDB still holds
TimeoutStartSec=15min
TimeoutStopSec=90
KillMode=mixed
LimitNOFILE=65536
TasksMax=512
MemoryHigh=2G
MemoryMax=3G
UMask=0077
NoNewPrivileges=yes
SyslogIdentifier=wembric
LogRateLimitIntervalSec=30
LogRateLimitBurst=3000

[Install]
WantedBy=${user ? 'multi-user.target' : 'default.target'}
`
}
