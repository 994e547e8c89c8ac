"""What can go wrong in the world outside; each text can be shown to a person as it is."""

from pathlib import Path

from chronotome.words import tr, visible


def readable(text: object) -> str:
    """Text of one line: bytes of a file name that are no text, and signs that nobody sees, are replaced."""
    words = str(text).encode("utf-8", "surrogateescape").decode("utf-8", "replace")
    return visible(words.replace("\n", "\ufffd").replace("\t", "\ufffd"))


class ChronotomeError(Exception):
    """Something a person can understand and act on. Its text names the thing and the way out."""


class UnusableFile(ChronotomeError):  # noqa: N818 - reads as what happened
    """A file that cannot be used as what it was taken for."""

    def __init__(self, path: Path | str, what: str, way_out: str) -> None:
        super().__init__(f"“{readable(path)}” {what}. {way_out}")
        self.path = Path(path)


class CannotWrite(ChronotomeError):  # noqa: N818 - reads as what happened
    """A file or folder that could not be written."""

    def __init__(self, path: Path | str, reason: str, way_out: str) -> None:
        super().__init__(tr("Cannot write “{0}”: {1}. {2}", readable(path), reason, way_out))
        self.path = Path(path)


class MissingRecordings(ChronotomeError):  # noqa: N818 - reads as what happened
    """Recordings of a session that are not where they were."""

    def __init__(self, names: dict[str, str]) -> None:
        listed = ", ".join(f"“{name}”" for name in names.values())
        super().__init__(tr("Cannot find {0}. Choose the file, or a folder that contains it.", listed))
        self.names = names


class Cancelled(ChronotomeError):  # noqa: N818 - reads as what happened
    """The person asked for it to stop."""

    def __init__(self) -> None:
        super().__init__(tr("Cancelled. Nothing was changed."))


class DeviceUnavailable(ChronotomeError):  # noqa: N818 - reads as what happened
    """A sound device that cannot be opened."""
