"""Keys of sharing places, in the desktop's secret store: nothing of them is in a file of ours."""

import contextlib

SERVICE = "chronotome sharing"


def kept_key(place: str) -> str | None:
    """None where there is none, or no store to ask."""
    with contextlib.suppress(Exception):  # whatever is wrong with a store, it has no key
        import keyring  # noqa: PLC0415 - seldom wanted, and it looks for stores

        return keyring.get_password(SERVICE, place)
    return None


def keep_key(place: str, key: str) -> bool:
    """False where there is no store to keep it in."""
    with contextlib.suppress(Exception):
        import keyring  # noqa: PLC0415 - the same

        keyring.set_password(SERVICE, place, key)
        return True
    return False
