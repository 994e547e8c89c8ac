"""Templates: sessions without sound, kept by name in a folder of our own."""

from pathlib import Path

import platformdirs

from chronotome.files.names import plain_name
from chronotome.files.places import NAME
from chronotome.files.session_file import document_bytes, load_session
from chronotome.files.writing import cannot_write, private_folder, write_whole
from chronotome.session.edits.pruning import as_template
from chronotome.session.model import Session, replace

SUFFIX = ".json"
MOST = 100


def templates_folder() -> Path:
    return Path(platformdirs.user_data_dir(NAME)) / "templates"


def template_names() -> list[str]:
    """Of those that are kept."""
    try:
        found = [each.name.removesuffix(SUFFIX) for each in templates_folder().glob(f"*{SUFFIX}")]
    except OSError:
        return []
    return sorted(found)[:MOST]


def keep_template(name: str, session: Session) -> str:
    """Keep what a session is without its sound; one of the same name is replaced. Its name, as it is kept.

    Raises
    ------
    CannotWrite
    """
    path = templates_folder() / plain_name(f"{name.strip() or session.name}{SUFFIX}")
    kept = path.name.removesuffix(SUFFIX)
    try:
        private_folder(path.parent)
        write_whole(path, document_bytes(replace(as_template(session), name=kept), None))
    except OSError as error:
        raise cannot_write(path, error) from None
    return kept


def read_template(name: str) -> Session:
    """What a new session begins with.

    Raises
    ------
    UnusableFile
    """
    session = as_template(load_session(templates_folder() / f"{name}{SUFFIX}").history.session)
    return replace(session, name=Session().name)
