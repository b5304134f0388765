# How Amber Heron is started, here and as an application image; for the scripts that source it, with jdk set.

# What the virtual machine has to say of its start-up cache must not get into a result.
# Without a flight recorder: the database library else brings it up for its first statement, which takes as long as the book.
flags=(-Xlog:disable -Xlog:all=error:stderr -XX:-PrintWarnings -XX:+IgnoreUnrecognizedVMOptions -XX:-FlightRecorder
  -XX:TieredStopAtLevel=1 -XX:+UseSerialGC --enable-native-access=ALL-UNNAMED -Dfile.encoding=UTF-8 -Dstdout.encoding=UTF-8
  -Dstderr.encoding=UTF-8)

# Besides, while the cache is made: what the full compiler would want to know is left out, since it does not run here and reading it
# took a tenth of the start.
learning=(-XX:+UnlockDiagnosticVMOptions -XX:-AOTRecordTraining)

# The toolkit's native libraries, beside its jars in folder $1, where it looks before it unpacks and compares them.
unpack_toolkit() {
  (cd "$1" && "$jdk/bin/jar" tf javafx-graphics-*-*.jar | grep -E '^[^/]*\.(so|dylib)$' \
    | xargs -r "$jdk/bin/jar" xf javafx-graphics-*-*.jar)
}

# In a locale without UTF-8 neither the virtual machine nor the build can open a path with a letter beyond ASCII.
if [ "$(uname -s)" = Linux ] && [ "$(locale charmap 2>/dev/null)" != UTF-8 ]; then
  utf8=$(locale -a 2>/dev/null | grep -i -m 1 -E '^C\.utf-?8$|utf-?8$' || echo C.UTF-8)
  if [ -n "${LC_ALL:-}" ]; then export LC_ALL=$utf8; else export LC_CTYPE=$utf8; fi
fi
