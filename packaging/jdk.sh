# Finds a JDK that is new enough; for the scripts that source it.
least=25

# The major version of the java at $1/bin/java; 0 when there is none or no compiler beside it.
version_of() {
  [ -x "$1/bin/java" ] && [ -x "$1/bin/javac" ] || { echo 0; return; }
  if [ -r "$1/release" ]; then
    sed -n 's/^JAVA_VERSION="\([0-9]*\).*/\1/p' "$1/release" | head -n 1 | grep . && return
  fi
  "$1/bin/java" -version 2>&1 | sed -n 's/.*version "\([0-9]*\).*/\1/p' | head -n 1 | grep . || echo 0
}

find_jdk() {
  local candidates=() on_path home
  [ -n "${JAVA_HOME:-}" ] && candidates+=("$JAVA_HOME")
  on_path=$(command -v javac || true)
  [ -n "$on_path" ] && candidates+=("$(dirname "$(dirname "$(readlink -f "$on_path")")")")
  for home in /usr/lib/jvm/* /usr/java/* /opt/java/* /opt/jdk* "$HOME"/.sdkman/candidates/java/* "$HOME"/.jdks/* \
      /Library/Java/JavaVirtualMachines/*/Contents/Home; do
    [ -d "$home" ] && candidates+=("$home")
  done
  for home in "${candidates[@]}"; do
    if [ "$(version_of "$home")" -ge "$least" ]; then echo "$home"; return; fi
  done
  return 1
}
