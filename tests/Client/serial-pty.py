"""Joins two programs by a pseudo-terminal, as a cable would: asker on the one side, box on the other."""
import os, subprocess, sys, tty

folder = sys.argv[1]
near, far = os.openpty()
tty.setraw(near)
tty.setraw(far)
box = subprocess.Popen([folder + '/box'], stdin=far, stdout=far, stderr=subprocess.PIPE)
asker = subprocess.Popen([folder + '/asker'], stdin=near, stdout=near, stderr=subprocess.PIPE)
said = asker.communicate(timeout=60)[1].decode()
os.close(near)
heard = box.communicate(timeout=60)[1].decode()
sys.stdout.write(said + heard)
sys.exit(asker.returncode or box.returncode)
