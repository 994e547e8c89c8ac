"""What a person said of a recording's beats, kept under its content, and on request beside the sound file."""

from pathlib import Path

import msgspec
import platformdirs
from msgspec import Struct

from chronotome.errors import CannotWrite
from chronotome.files.places import NAME
from chronotome.files.safe_read import InvalidInput, bytes_of, trusted
from chronotome.files.writing import cannot_write, keep, write_whole
from chronotome.session.fit import Fit, Measured
from chronotome.session.limits import ContentHash, Rate
from chronotome.session.model import Recording

VERSION = 1
MOST_BYTES = 32 << 20
SIDECAR = ".fit.json"


class _Document(Struct, frozen=True):
    content: ContentHash
    rate: Rate
    fit: Fit
    measured: Measured | None = None
    version: int = VERSION


def _kept_at(content: ContentHash) -> Path:
    return Path(platformdirs.user_data_dir(NAME)) / "fits" / f"{content}.json"


def sidecar_of(sound: Path) -> Path:
    """Where the fit stands beside a sound file."""
    return sound.with_name(sound.name + SIDECAR)


def kept_fit(content: ContentHash, sound: Path | None = None) -> Fit:
    """The fit of an earlier session, as kept or as it stands beside the file; else the usual one."""
    places = [_kept_at(content)] + ([sidecar_of(sound)] if sound is not None else [])
    for place in places:
        try:
            document = trusted(bytes_of(place, MOST_BYTES), _Document)
        except (OSError, InvalidInput):
            continue
        if document.content == content and document.version == VERSION:
            return document.fit
    return Fit()


def keep_fit(recording: Recording) -> None:
    """Best effort: a full disk must not stop the work."""
    keep(_kept_at(recording.content), _text(recording))


def write_sidecar(recording: Recording, sound: Path) -> Path:
    """Write fit and beats beside a sound file.

    Raises
    ------
    CannotWrite
        With the reason and the way out.
    """
    place = sidecar_of(sound)
    try:
        write_whole(place, _text(recording))
    except OSError as error:
        failure: CannotWrite = cannot_write(place, error)
        raise failure from None
    return place


def _text(recording: Recording) -> bytes:
    document = _Document(recording.content, recording.rate, recording.fit, recording.measured)
    return msgspec.json.format(msgspec.json.encode(document), indent=1) + b"\n"
