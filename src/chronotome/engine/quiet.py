"""What libraries in C print about devices that they do not find, kept from the terminal."""

import contextlib
import os
import sys
import threading
from collections.abc import Iterator

_ONE = threading.RLock()


def keep_libraries_silent() -> None:
    """What C libraries say goes nowhere from now on; what Python says is still read."""
    sys.stderr = os.fdopen(os.dup(2), "w", buffering=1)
    nowhere = os.open(os.devnull, os.O_WRONLY)
    os.dup2(nowhere, 2)
    os.close(nowhere)


@contextlib.contextmanager
def silent_stderr() -> Iterator[None]:
    """ALSA reports every device that it tries; nobody wants to read that."""
    with _ONE:  # of two at once, the one that ends first would let the other be heard
        kept = os.dup(2)
        nothing = os.open(os.devnull, os.O_WRONLY)
        try:
            os.dup2(nothing, 2)
            yield
        finally:
            os.dup2(kept, 2)
            os.close(kept)
            os.close(nothing)
