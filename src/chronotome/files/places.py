"""Where Chronotome keeps things: XDG folders, settings, recent sessions."""

import contextlib
from pathlib import Path

import msgspec
import platformdirs
from msgspec import Struct

NAME = "chronotome"
MOST_RECENT = 10


class Settings(Struct, frozen=True):
    """What the person chose for the application, beyond any session."""

    theme: str = "day"
    output: str = "auto"
    block: int = 512
    recent: tuple[str, ...] = ()
    shortcuts: dict[str, str] = {}
    grid_follows_zoom: bool = True
    shelf: tuple[str, ...] = ()
    """Folders of the shelf, the one shown last first."""
    reaction_ms: float = 10.0
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
        return msgspec.json.decode(settings_file().read_bytes(), type=Settings)
    except (OSError, msgspec.MsgspecError, ValueError):
        return Settings()


def save_settings(settings: Settings) -> None:
    """Best effort: an unwritable settings folder must not stop the work."""
    path = settings_file()
    with contextlib.suppress(OSError):
        path.parent.mkdir(parents=True, exist_ok=True)
        new = path.with_suffix(".new")
        new.write_bytes(msgspec.json.format(msgspec.json.encode(settings)))
        new.replace(path)


def with_recent(settings: Settings, path: Path) -> Settings:
    others = [each for each in settings.recent if each != str(path)]
    return msgspec.structs.replace(settings, recent=(str(path), *others)[:MOST_RECENT])
