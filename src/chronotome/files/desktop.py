"""Chronotome in the menus of a desktop: entry, icons, types of files, manual page, completions.

Everything goes into the person's own XDG folders, under names that are ours alone; nothing needs root.
"""

import os
import shutil
import subprocess
from collections.abc import Iterator, Mapping
from importlib import resources
from pathlib import Path
from typing import Final

from chronotome import __version__
from chronotome.errors import CannotWrite
from chronotome.files.writing import cannot_write, write_whole
from chronotome.words import tr

APP_ID: Final = "org.chronotome.Chronotome"
SIZES = (16, 24, 32, 48, 64, 128, 256, 512)
REFRESHERS = (
    ("update-desktop-database", "applications"),
    ("update-mime-database", "mime"),
    ("gtk-update-icon-cache", "icons/hicolor"),
)
"""What tells running desktops of it, and about which folder; where there is none, the next login does."""
CACHES = {
    "mime": "XMLnamespaces aliases generic-icons globs globs2 icons magic mime.cache subclasses treemagic"
    " types version",
    "applications": "mimeinfo.cache",
    "icons/hicolor": "icon-theme.cache",
}
"""What those make of all that is there: where nothing else is left, it goes too."""
_ASSETS = resources.files("chronotome.assets") / "desktop"


def data_home() -> Path:
    """Where a person's own programs keep what desktops read (XDG base directories)."""
    said = os.environ.get("XDG_DATA_HOME", "")
    return Path(said) if said.startswith("/") else Path.home() / ".local" / "share"


def _quoted(program: Path) -> str:
    """As an entry's Exec wants it, escaped twice: as a string, and as a word of a command."""
    text = str(program)
    for letter in '\\"`$':
        text = text.replace(letter, f"\\{letter}")
    return '"{}"'.format(text.replace("\\", "\\\\").replace("%", "%%"))


def _escaped(program: Path) -> str:
    """As a string of an entry."""
    return str(program).replace("\\", "\\\\")


def _asset(ending: str) -> str:
    return (_ASSETS / f"{APP_ID}.{ending}").read_text("utf-8")


def _drawn(program: Path) -> Iterator[tuple[str, bytes]]:
    """What is shipped, told where the program is."""
    entry = _asset("desktop").replace("TryExec=@PROGRAM@", f"TryExec={_escaped(program)}")
    yield f"applications/{APP_ID}.desktop", entry.replace("@PROGRAM@", _quoted(program)).encode()
    yield f"metainfo/{APP_ID}.metainfo.xml", _asset("metainfo.xml").replace("@VERSION@", __version__).encode()
    yield f"mime/packages/{APP_ID}.xml", _asset("mime.xml").encode()
    yield f"icons/hicolor/scalable/apps/{APP_ID}.svg", _asset("svg").encode()
    for size in SIZES:
        png = (_ASSETS / "icons" / f"{size}.png").read_bytes()
        yield f"icons/hicolor/{size}x{size}/apps/{APP_ID}.png", png


def put_in_menus(program: Path, made: Mapping[str, str]) -> list[Path]:
    """Write all of it, with the texts that were `made` of the command line; what we wrote before is replaced.

    Raises
    ------
    CannotWrite
    """
    for path in (program, data_home()):
        if not str(path).isprintable():
            words = tr("its name has a line break or another character that no menu entry can have")
            raise CannotWrite(path, words, tr("Install from a folder with a plain name."))
    files = [*_drawn(program), *((place, text.encode()) for place, text in made.items())]
    written = []
    for place, data in files:
        path = data_home() / place
        try:
            path.parent.mkdir(parents=True, exist_ok=True)
            write_whole(path, data)
        except OSError as error:
            raise cannot_write(path, error) from None
        written.append(path)
    _refresh()
    return written


def take_from_menus(made: Mapping[str, str]) -> list[Path]:
    """Remove what `put_in_menus` wrote, and folders that are empty without it.

    Raises
    ------
    CannotWrite
    """
    home, removed = data_home(), list[Path]()
    files = [*(place for place, _ in _drawn(Path("/"))), *made]
    for name in files:
        path = home / name
        try:
            path.unlink(missing_ok=True)
        except OSError as error:
            raise cannot_write(path, error) from None
        removed.append(path)
    _refresh()
    removed += [folder / "caches" for folder in _without_caches(home)]
    for above in sorted({each for path in removed for each in path.parents}, reverse=True):
        if home in above.parents and _is_empty(above):
            above.rmdir()
    return removed[: len(files)]


def _without_caches(home: Path) -> Iterator[Path]:
    """Folders in which nothing was left but what the tools made of what is gone."""
    for folder, names in CACHES.items():
        place = home / folder
        made_there = {place / name for name in names.split()}
        if place.is_dir() and all(each in made_there or _is_bare(each) for each in place.iterdir()):
            for each in made_there:
                each.unlink(missing_ok=True)
            for each in sorted(place.rglob("*"), reverse=True):
                each.rmdir()  # what the tools left of folders
            yield place


def _is_bare(path: Path) -> bool:
    """A folder without a file, however deep."""
    return path.is_dir() and not any(each.is_file() for each in path.rglob("*"))


def _is_empty(folder: Path) -> bool:
    return folder.is_dir() and not any(folder.iterdir())


def _refresh() -> None:
    """Let desktops that run hear of it."""
    for tool, folder in REFRESHERS:
        found, place = shutil.which(tool), data_home() / folder
        if found is not None and place.is_dir():
            subprocess.run([found, str(place)], capture_output=True, timeout=60, check=False)  # noqa: S603 - ours
