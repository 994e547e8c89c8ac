"""What a person said of a recording's beats, kept under its content, and on request beside the sound file."""

import contextlib
from pathlib import Path

import msgspec
import platformdirs
from msgspec import Struct

from chronotome.errors import CannotWrite
from chronotome.files.audio_file import cannot_write
from chronotome.files.places import NAME
from chronotome.session.fit import Fit, Measured
from chronotome.session.model import ContentHash, Recording

VERSION = 1
SIDECAR = ".fit.json"


class _Document(Struct, frozen=True):
    content: ContentHash
    rate: int
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
        with contextlib.suppress(OSError, msgspec.MsgspecError, ValueError):
            document = msgspec.json.decode(place.read_bytes(), type=_Document)
            if document.content == content and document.version == VERSION:
                return document.fit
    return Fit()


def keep_fit(recording: Recording) -> None:
    """Best effort: a full disk must not stop the work."""
    with contextlib.suppress(OSError):
        _write(_kept_at(recording.content), recording)


def write_sidecar(recording: Recording, sound: Path) -> Path:
    """Write fit and beats beside a sound file.

    Raises
    ------
    CannotWrite
        With the reason and the way out.
    """
    place = sidecar_of(sound)
    try:
        _write(place, recording)
    except OSError as error:
        failure: CannotWrite = cannot_write(place, error)
        raise failure from None
    return place


def _write(place: Path, recording: Recording) -> None:
    document = _Document(recording.content, recording.rate, recording.fit, recording.measured)
    place.parent.mkdir(parents=True, exist_ok=True)
    new = place.with_name(f".{place.name}.part")
    new.write_bytes(msgspec.json.format(msgspec.json.encode(document), indent=1) + b"\n")
    new.replace(place)
