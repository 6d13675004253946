<?php

declare(strict_types=1);

// No commands of our own: the core has its command line in bin/rundfunk.
