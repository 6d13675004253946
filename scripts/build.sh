#!/usr/bin/env bash
# Fetches the libraries and builds the front end, for a server of its own: docs/operations.md.
source "$(dirname "$0")/common.sh"
source scripts/install.sh
# The web server reads what is built.
umask 022
install_php
install_node
build_front_end
