"""A pty with the modem stand-in behind it, for real AT clients. Prints the pty's name, then what texts were sent."""
import os
import pty
import select
import subprocess
import sys
import tty

root = sys.argv[1]
ours, theirs = pty.openpty()
tty.setraw(ours)
tty.setraw(theirs)
print(os.ttyname(theirs), flush=True)
modem = subprocess.Popen(['php', root + '/tests/Client/modem-pipe.php'], stdin=subprocess.PIPE, stdout=subprocess.PIPE, bufsize=0)
while True:
    ready, _, _ = select.select([ours, modem.stdout, sys.stdin], [], [], 60)
    if not ready or sys.stdin in ready:
        break
    if ours in ready:
        modem.stdin.write(os.read(ours, 4096))
    if modem.stdout in ready:
        os.write(ours, os.read(modem.stdout.fileno(), 4096))
modem.stdin.close()
modem.wait(5)
