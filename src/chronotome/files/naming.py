"""Names of many files by a template: `{name}_{number}_{band}`."""

import re
from collections.abc import Mapping, Sequence

from chronotome.files.names import plain_name
from chronotome.words import tr

FIELDS = ("name", "number", "band", "key", "note", "bpm", "ms")
USUAL = "{name} {number}"
LONGEST = 120
_FIELD = re.compile(r"\{([^{}]*)\}")


class WrongTemplate(ValueError):  # noqa: N818 - reads as what happened
    """Its text says what is wrong with a template."""


def names_by(template: str, rows: Sequence[Mapping[str, str]], suffix: str) -> list[str]:
    """A plain name for each row, each once: where two would be one, they are counted.

    Raises
    ------
    WrongTemplate
        For a field that there is not, or where nothing would be left of a name.
    """
    unknown = [each for each in _FIELD.findall(template) if each not in FIELDS]
    if unknown:
        raise WrongTemplate(
            tr("{{{0}}} is unknown; use {1}", unknown[0], ", ".join(f"{{{each}}}" for each in FIELDS))
        )
    if not _FIELD.sub("", template).strip() and not _FIELD.findall(template):
        raise WrongTemplate(tr("the name is empty"))
    if len(template) > LONGEST:
        raise WrongTemplate(tr("the name is longer than {0} characters", LONGEST))
    taken, made = set[str](), []
    for row in rows:
        stem = plain_name(_FIELD.sub(lambda found: row.get(found[1], ""), template).strip(" .") or "slice")  # noqa: B023 - at once
        name, number = f"{stem}{suffix}", 2
        while name.casefold() in taken:
            name, number = f"{stem} {number}{suffix}", number + 1
        taken.add(name.casefold())
        made.append(name)
    return made


def numbered(number: int, count: int) -> str:
    """From 1, with as many digits as the last one has: files in the order of their names."""
    return f"{number:0{max(2, len(str(count)))}d}"
