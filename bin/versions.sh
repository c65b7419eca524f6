# Versions of what is not ours and comes from Debian or beside it, in this one place. Libraries: composer.json and package.json.
DEBIAN_NAME=bookworm
PHP_VERSION=8.2
POSTGRES_VERSION=15
# The oldest that builds the front end, and the one that is fetched where Debian's is older (as a package of npm, into var/node).
NODE_NEEDED=20.19.0
NODE_VERSION=22.23.3
