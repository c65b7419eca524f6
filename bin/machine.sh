# A fresh Debian of its own in a container whose first process is systemd, to install in. It shares the network of this machine.
# Sourced by bin/check-fresh; needs root.

MACHINE_PACKAGES="debootstrap systemd-container"
# Who runs it may trust certificates beside Debian's, which libraries are fetched by; the machine is to trust them, too.
OWN_CERTIFICATES=/usr/local/share/ca-certificates

# make_debian FOLDER: Debian 12 as its installer leaves it, with nothing beside systemd and certificates.
make_debian() {
    # What it mounts, it mounts where nobody else sees it, and it is gone with it.
    unshare --mount debootstrap --variant=minbase --include=systemd,systemd-sysv,dbus,ca-certificates,iproute2 \
        "$DEBIAN_NAME" "$1" >"$1.log" 2>&1 || die "Debian could not be made; see $1.log"
    cp /etc/resolv.conf "$1/etc/resolv.conf"
    cp "$OWN_CERTIFICATES"/*.crt "$1$OWN_CERTIFICATES/" 2>/dev/null || true
}

# boot_machine FOLDER: starts it and waits until systemd says that all of it runs.
boot_machine() {
    systemd-nspawn --quiet --directory="$1" --machine="$(basename "$1")" --boot --register=no --keep-unit --resolv-conf=off \
        </dev/null >>"$1.console" 2>&1 &
    printf '%s' "$!" >"$1.pid"
    wait_for_machine "$1"
    in_machine "$1" update-ca-certificates >/dev/null 2>&1
}

# leader_of FOLDER: its first process, as this machine numbers it.
leader_of() { [ -s "$1.pid" ] && pgrep --parent "$(cat "$1.pid")" --exact systemd; }

wait_for_machine() {
    local try
    for try in $(seq 1 90); do
        case "$(in_machine "$1" systemctl is-system-running 2>/dev/null)" in running | degraded) return 0 ;; esac
        sleep 1
    done
    die "the machine does not come up; see $1.console"
}

# in_machine FOLDER COMMAND...: as its root, in its home, with nothing of this machine's environment.
in_machine() {
    local leader
    leader=$(leader_of "$1") || return 1
    shift
    nsenter --target "$leader" --all env -i PATH=/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin HOME=/root LANG=C.UTF-8 \
        NODE_EXTRA_CA_CERTS=/etc/ssl/certs/ca-certificates.crt bash -c 'cd /root && "$@"' in "$@"
}

end_machine() {
    local leader try
    leader=$(leader_of "$1") || return 0
    kill -s RTMIN+4 "$leader"
    for try in $(seq 1 60); do [ -d "/proc/$leader" ] || return 0; sleep 1; done
    kill -9 "$leader"
}
