# What the machine needs, and building. Read by ./galdrin.
apt() {
  # what it says about the machine it runs on (no terminal, no service manager) is of no use to anyone unless it fails
  local said=$var/apt.log; mkdir -p "$var"
  if is_root; then env DEBIAN_FRONTEND=noninteractive apt-get -qq -y "$@" >"$said" 2>&1
  elif command -v sudo >/dev/null; then sudo env DEBIAN_FRONTEND=noninteractive apt-get -qq -y "$@" >"$said" 2>&1
  else die "needs Debian packages and can not install them: run it as root, or as a user with sudo."; fi
}

# need COMMAND-OR-GLOB PACKAGE...: installs the packages if the command is not there
need() {
  local probe=$1; shift
  if [[ $probe == /* ]]; then compgen -G "$probe" >/dev/null && return; else command -v "$probe" >/dev/null && return; fi
  command -v apt-get >/dev/null || die "$probe is missing, and this is no Debian machine: install $* and run it again."
  say "Installing $* from Debian's packages ..."
  # Debian would otherwise make and start a cluster of its own
  if [[ " $* " == *" postgresql-15 "* ]] && [ ! -e /etc/postgresql-common/createcluster.conf ]; then
    local set_up='mkdir -p /etc/postgresql-common && echo "create_main_cluster = false" > /etc/postgresql-common/createcluster.conf'
    if is_root; then sh -c "$set_up"; else sudo sh -c "$set_up"; fi
  fi
  apt update || say "The package lists could not be refreshed; trying with those that are there."
  apt install --no-install-recommends "$@" || { cat "$var/apt.log" >&2; die "could not install $*: see the lines above, then run it again."; }
}

need_java() { need javac openjdk-17-jdk-headless; need mvn maven; }
need_postgres() { need '/usr/lib/postgresql/*/bin/initdb' postgresql-15; }
need_browser() { need chromium chromium; need chromedriver chromium-driver; }

# ---- building
stale() { # stale PRODUCT SOURCE...: whether a source is newer than the product
  [ ! -e "$1" ] || [ -n "$(find "${@:2}" -newer "$1" -type f -print -quit)" ]
}

# The launcher writes colour codes of its own, whatever it is told.
maven() { mvn -B -ntp -Dstyle.color=never "$@" 2>&1 | sed -u $'s/\033\\[[0-9;]*m//g'; }

build_compute() {
  local jar=compute/target/galdrin-compute.jar stamp=compute/target/built # Maven leaves an unchanged jar's time alone
  if stale $stamp pom.xml core/pom.xml compute/pom.xml core/src/main compute/src/main; then
    need_java
    say "Building the command ..."
    maven -q -pl core,compute -am -DskipTests -Djacoco.skip=true -DargLine= package >&2 || die "the build failed: see the lines above."
    # a class-data archive lets it start in a blink; without one it only starts slower
    local list=compute/target/classes.lst
    java -XX:DumpLoadedClassList=$list -jar $jar compute/src/main/warm-up.ndjson >/dev/null 2>&1 || true
    java -XX:+UseSerialGC -Xshare:dump -XX:SharedClassListFile=$list -XX:SharedArchiveFile=compute/target/compute.jsa -jar $jar >/dev/null 2>&1 || true
    touch $stamp
  fi
}

build_web() {
  local jar=web/target/galdrin-web.jar stamp=web/target/built
  if stale $stamp pom.xml core/pom.xml web/pom.xml core/src/main web/src/main; then
    need_java
    say "Building Galdrin (the first time this fetches its libraries and takes some minutes) ..."
    maven -q -pl core,web -am -DskipTests -Djacoco.skip=true -DargLine= package >&2 \
      || die "the build failed: see the lines above."
    touch $stamp
  fi
  if stale "$var/app/extracted" $stamp; then
    rm -rf "$var/app"
    java -Djarmode=tools -jar $jar extract --destination "$var/app" >/dev/null
    touch "$var/app/extracted"
  fi
}

