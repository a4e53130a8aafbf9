#!/usr/bin/env bash
# Everything that is checked: installs what it needs, then types and rules, Vitest and Playwright. Ends with what failed, and "N passed, N failed".
set -u
cd "$(dirname "$0")/.."

node scripts/prepare-tests.mjs || { echo "0 passed, 1 failed"; exit 1; }

report=$(mktemp -d)
trap 'rm -rf "$report"' EXIT
failures="$report/failures.txt"
touch "$failures"
passed=0
failed=0

step() { # name, command...
  local name=$1
  shift
  printf '\n== %s\n' "$name"
  if "$@"; then passed=$((passed + 1)); else failed=$((failed + 1)); printf 'FAILED: %s\n' "$name" | tee -a "$failures"; fi
}

# Steps that count by themselves: the runner writes what it ran to a JSON file.
counted() { # name, kind, file, command...
  local name=$1 kind=$2 file=$3
  shift 3
  printf '\n== %s\n' "$name"
  "$@"
  local status=$?
  local counts
  counts=$(node scripts/count-tests.mjs "$kind" "$file" "$status" "$failures")
  passed=$((passed + ${counts% *}))
  failed=$((failed + ${counts#* }))
}

step lint npm run --silent lint
vitest() { # name, script
  local file="$report/$2.json"
  counted "$1" vitest "$file" npm run --silent "$2" -- --silent --reporter=dot --reporter=json --outputFile.json="$file"
}
vitest "unit tests" test:unit
vitest "system tests" test:system
MENDREL_E2E_OUTPUT="$report/e2e" PLAYWRIGHT_JSON_OUTPUT_NAME="$report/e2e.json" \
  counted "browser tests" playwright "$report/e2e.json" npm run --silent test:e2e -- --reporter=line,json

printf '\n'
cat "$failures"
printf '\n%d passed, %d failed\n' "$passed" "$failed"
[ "$failed" -eq 0 ]
