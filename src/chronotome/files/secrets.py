"""Keys of sharing places, in the desktop's secret store: nothing of them is in a file of ours.

A key belongs to the scheme, host and port that it was given for: it is never handed to another.
"""

import contextlib
from collections.abc import Callable
from typing import TypeVar

from chronotome.files.waiting import waited_for
from chronotome.progress import Progress, unheard

T = TypeVar("T")
SERVICE = "chronotome sharing"
STORE_SECONDS = 60.0
"""A store may ask for a password of its own."""


def kept_key(origin: str, progress: Progress = unheard) -> str | None:
    """None where there is none, or no store to ask."""

    def ask() -> str | None:
        import keyring  # noqa: PLC0415 - seldom wanted, and it looks for stores

        return keyring.get_password(SERVICE, origin)

    return _asked(ask, progress)


def keep_key(origin: str, key: str, progress: Progress = unheard) -> bool:
    """False where there is no store to keep it in."""

    def keep() -> bool:
        import keyring  # noqa: PLC0415 - the same

        keyring.set_password(SERVICE, origin, key)
        return True

    return bool(_asked(keep, progress))


def _asked(ask: Callable[[], T], progress: Progress) -> T | None:
    """A store that hangs holds up nobody who does not want to wait."""
    with contextlib.suppress(Exception):  # whatever is wrong with a store, it has no key
        return waited_for(ask, lambda: progress(0.0), seconds=STORE_SECONDS)
    return None
