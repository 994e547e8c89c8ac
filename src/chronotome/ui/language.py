"""Which language the window speaks: Qt's translations, chosen before anything of the window is imported.

English is in the code. `CHRONOTOME_LANGUAGE=pseudo` makes every text longer and accented, to see what does
not fit and what was never asked for; another name is a file `chronotome_NAME.qm` in `assets/words`.
"""

import os
import re
from pathlib import Path

from PySide6.QtCore import QLocale, QTranslator

from chronotome import assets
from chronotome.words import speak_by

CONTEXT = "Chronotome"
PSEUDO = "pseudo"
FOLDER = Path(assets.__file__).parent / "words"
LONGER = 0.3
_ACCENTS = str.maketrans("aceinouyzACEINOUYZ", "áčéíñóúýžÁČÉÍÑÓÚÝŽ")
_KEPT = re.compile(r"\{[^{}]*\}|<[^<>]*>|&\w+;|\(\*[^)]*\)|;;|%\w")
"""What stands for values, marks and patterns of files: it stays as it is."""
_spoken: list[QTranslator] = []


def pseudo(text: str) -> str:
    """The same words with accents, and longer by a third: how other languages are."""
    parts, at = [], 0
    for found in _KEPT.finditer(text):
        parts += [text[at : found.start()].translate(_ACCENTS), found.group()]
        at = found.end()
    parts.append(text[at:].translate(_ACCENTS))
    letters = sum(letter.isalpha() for letter in text)
    more = "~" * max(1, round(LONGER * letters)) if letters > 1 else ""
    made = "".join(parts)
    return f"{made[:-1]}{more}{made[-1]}" if made.endswith((".", "…", "?", ":")) else made + more


class Pseudo(QTranslator):
    """As if somebody had translated everything."""

    def translate(
        self, _context: str, text: str, _disambiguation: str | None = None, _number: int = -1
    ) -> str:
        return pseudo(text)

    def isEmpty(self) -> bool:
        return False


def spoken() -> list[QTranslator]:
    """The one that speaks, for Qt's own texts; none for English."""
    return _spoken


def language() -> str:
    """As it is said, else that of the desktop."""
    return os.environ.get("CHRONOTOME_LANGUAGE") or QLocale.system().name()


def speak(name: str | None = None) -> None:
    """Let texts be in a language; English where there is no translation. Numbers are written alike in all."""
    QLocale.setDefault(QLocale.c())
    name = name or language()
    if not re.fullmatch(r"[A-Za-z_]{2,20}", name):
        return
    translator = Pseudo() if name == PSEUDO else QTranslator()
    if name != PSEUDO and not translator.load(str(FOLDER / f"chronotome_{name}.qm")):
        return
    _spoken[:] = [translator]
    speak_by(lambda text: translator.translate(CONTEXT, text) or text)
