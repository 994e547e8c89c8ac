"""Where Chronotome keeps things: XDG folders, settings, recent sessions."""

from pathlib import Path
from typing import Annotated

import msgspec
import platformdirs
from msgspec import Meta, Struct

from chronotome.files.names import path_words
from chronotome.files.safe_read import InvalidInput, bytes_of, trusted
from chronotome.files.writing import keep
from chronotome.session.grid import FASTEST
from chronotome.session.history import MOST_STEPS
from chronotome.session.limits import Id
from chronotome.session.model import ClickSound

NAME = "chronotome"
MOST_BYTES = 1 << 20
MOST_RECENT = 10


Word = Annotated[str, Meta(max_length=100)]
Words = Annotated[str, Meta(max_length=20_000)]
"""A path, as `path_words` tells it."""


class ViewPosition(Struct, frozen=True):
    """What of a session was in sight when it was left."""

    stage: Annotated[int, Meta(ge=1, le=5)] = 3
    start: Annotated[float, Meta(ge=-1e12, le=1e12)] = 0.0
    frames_per_pixel: Annotated[float, Meta(gt=0.0, le=1e9)] = 1000.0
    track: Id = 0
    position: Annotated[float, Meta(ge=0.0, le=1e12)] = 0.0
    wave: Annotated[str, Meta(max_length=512, pattern=r"\A([0-9a-f]{2})*\Z")] = ""
    """How loud it is along its time, two hexadecimal digits for each part: a picture of it."""
    tempo: Annotated[float, Meta(ge=0.0, le=FASTEST)] = 0.0
    tracks: Annotated[int, Meta(ge=0, le=100_000)] = 0
    rail: Annotated[int, Meta(ge=0, le=10_000)] = 0
    tray: Annotated[int, Meta(ge=0, le=10_000)] = 0
    """Pixels that the stages and the tray are wide; 0: as usual."""
    folded: Annotated[
        tuple[Annotated[str, Meta(pattern=r"\A(rail|tray|rest)\Z")], ...], Meta(max_length=3)
    ] = ()
    """What is folded; `rest`: lanes have all of the window."""
    heights: Annotated[
        dict[Annotated[str, Meta(max_length=20)], Annotated[float, Meta(ge=0.0, le=1e4)]], Meta(max_length=20)
    ] = {}
    """Shares of lanes whose edges were dragged."""


class Settings(Struct, frozen=True):
    """What the person chose for the application, beyond any session."""

    theme: Word = "day"
    contrast: Annotated[str, Meta(pattern=r"\A(desktop|usual|high)\Z")] = "desktop"
    output: Annotated[str, Meta(max_length=300)] = "auto"
    block: Annotated[int, Meta(ge=16, le=65536)] = 512
    recent: tuple[Words, ...] = ()
    recent_files: Annotated[tuple[Words, ...], Meta(max_length=MOST_RECENT)] = ()
    """Recordings that were opened."""
    window: Annotated[str, Meta(max_length=4_000, pattern=r"\A[0-9a-f]*\Z")] = ""
    """Size and place of the window, as Qt tells them."""
    second_window: Annotated[str, Meta(max_length=4_000, pattern=r"\A[0-9a-f]*\Z")] = ""
    sights: Annotated[dict[Words, ViewPosition], Meta(max_length=MOST_RECENT)] = {}
    """What was in sight of the sessions that were left last."""
    shortcuts: dict[Word, Word] = {}
    grid_follows_zoom: bool = True
    shelf: tuple[Words, ...] = ()
    """Folders of the shelf, the one shown last first."""
    input_ms: Annotated[
        dict[Annotated[str, Meta(max_length=300)], Annotated[float, Meta(ge=-1000.0, le=1000.0)]],
        Meta(max_length=64),
    ] = {}
    """By which what each input hears comes later than the device says; measured by a loop-back."""
    midi: Annotated[tuple[Words, ...], Meta(max_length=64)] = ()
    """MIDI inputs that play keys; none named: all."""
    clock_to: Annotated[tuple[Words, ...], Meta(max_length=64)] = ()
    """MIDI outputs that hear the song's clock."""
    in_time: Annotated[str, Meta(pattern=r"\A(nothing|jack|clock)\Z")] = "nothing"
    """With what it starts, stops and is at a place."""
    jack_ports: Annotated[str, Meta(pattern=r"\A(main|click|tracks)\Z")] = "main"
    """What has outputs of its own on JACK: nothing, the click, each track too."""
    controls: Annotated[
        dict[Annotated[str, Meta(pattern=r"\A[0-9]{1,4}\Z")], Annotated[str, Meta(max_length=200)]],
        Meta(max_length=512),
    ] = {}
    """Controls of MIDI devices by number, and what each is bound to."""
    told: Annotated[tuple[Word, ...], Meta(max_length=100)] = ()
    """What was explained, since it was used for the first time."""
    has_media_keys: bool = False
    input: Annotated[str, Meta(max_length=300)] = "auto"
    share_place: Annotated[str, Meta(max_length=2_000)] = ""
    """The address of the sharing place that was used last; its key is in the desktop's secret store."""
    takes: Words = ""
    """The folder of takes that no session has yet; none: one of our own."""
    click: ClickSound = ClickSound.WOOD
    """Of new sessions."""
    steps_kept: Annotated[int, Meta(ge=0, le=MOST_STEPS)] = MOST_STEPS
    """Steps of the history that are saved with a session."""
    autosave_minutes: Annotated[int, Meta(ge=0, le=1440)] = 0
    """So often a session that has a folder is saved by itself; 0: only when it is said."""
    reaction_ms: Annotated[float, Meta(ge=-1000.0, le=1000.0)] = 10.0
    """By which a hand is late that beats along; measured by the tap calibration."""


def state_folder() -> Path:
    return Path(platformdirs.user_state_dir(NAME))


def journal_folder() -> Path:
    return state_folder() / "journals"


def settings_file() -> Path:
    return Path(platformdirs.user_config_dir(NAME)) / "settings.json"


def load_settings() -> Settings:
    """Settings as saved; the usual ones where there are none, or where they cannot be read."""
    try:
        return trusted(bytes_of(settings_file(), MOST_BYTES), Settings)
    except (OSError, InvalidInput):
        return Settings()


def save_settings(settings: Settings) -> None:
    """Best effort: an unwritable settings folder must not stop the work."""
    keep(settings_file(), msgspec.json.format(msgspec.json.encode(settings)))


def with_first(known: tuple[str, ...], *paths: Path) -> tuple[str, ...]:
    """Paths before those that are known; the oldest of too many are forgotten."""
    words = tuple(dict.fromkeys([*map(path_words, paths), *known]))
    return words[:MOST_RECENT]
