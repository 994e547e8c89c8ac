"""Every text that is shown, for translators: docs/translations/chronotome.ts, read from the code itself.

./run exec python tools/make_words.py; what is translated of it, `pyside6-lrelease` makes into
assets/words/chronotome_XX.qm.
"""

import ast
from collections.abc import Iterator
from pathlib import Path
from xml.sax.saxutils import escape

from chronotome.dsp.bands import Band, Instrument
from chronotome.dsp.stretch.engines import EngineName, MoveBy, StretchMaterial
from chronotome.dsp.stretch.gaps import Crossing, Fill
from chronotome.files.finish import Aim
from chronotome.session.check import Choice, Kind
from chronotome.session.grid import Feel
from chronotome.session.model import ClickSound
from chronotome.session.targets import REASON_WORDS
from chronotome.ui.language import CONTEXT
from chronotome.ui.state.view_state import RowsBy, Stage

SOURCE = Path(__file__).parents[1] / "src" / "chronotome"
OUT = Path(__file__).parents[1] / "docs" / "translations" / "chronotome.ts"


def texts_in(tree: ast.AST) -> Iterator[str]:
    """Of calls of `tr`, `trn` and `counted`, whose plural may be left to an s."""
    for node in ast.walk(tree):
        if not isinstance(node, ast.Call):
            continue
        name = getattr(node.func, "id", getattr(node.func, "attr", ""))
        said = [
            each.value for each in node.args if isinstance(each, ast.Constant) and isinstance(each.value, str)
        ]
        if name == "tr" and said and isinstance(node.args[0], ast.Constant):
            yield str(node.args[0].value)
        elif name in {"counted", "trn"}:
            yield from said
            if len(said) == 1:
                yield f"{said[0]}s"


def named() -> dict[str, str]:
    """Values of enumerations and tables that are shown as words."""
    found = {each.text: "session/check.py" for each in (*Kind, *Choice)}
    found |= {each.text: "session/grid.py" for each in Feel}
    found |= {each.text: "files/finish.py" for each in Aim}
    found |= {
        each.text: "dsp/stretch/engines.py" for each in (*Fill, *Crossing, *EngineName, *StretchMaterial)
    }
    found |= {each.text: "session/model.py" for each in ClickSound}
    found |= {each.name.lower(): "dsp/bands.py" for each in Band}
    found |= {each.text: "dsp/bands.py" for each in Instrument}
    found |= {each.text: "dsp/stretch/engines.py" for each in MoveBy}
    found |= {each.name.capitalize(): "ui/state/view_state.py" for each in Stage}
    found |= {each.name.lower(): "ui/state/view_state.py" for each in RowsBy}
    return found | dict.fromkeys(REASON_WORDS.values(), "session/targets.py")


def texts() -> dict[str, str]:
    """Each text, and the first file that says it."""
    found = named()
    for path in sorted(SOURCE.rglob("*.py")):
        for text in texts_in(ast.parse(path.read_text("utf-8"))):
            found.setdefault(text, str(path.relative_to(SOURCE)))
    return found


def document() -> str:
    rows = [
        "    <message>\n"
        f'        <location filename="{place}"/>\n'
        f"        <source>{escape(text)}</source>\n"
        '        <translation type="unfinished"></translation>\n'
        "    </message>\n"
        for text, place in sorted(texts().items())
    ]
    head = '<?xml version="1.0" encoding="utf-8"?>\n<!DOCTYPE TS>\n<TS version="2.1">\n<context>\n'
    return f"{head}    <name>{CONTEXT}</name>\n{''.join(rows)}</context>\n</TS>\n"


def main() -> None:
    OUT.parent.mkdir(exist_ok=True)
    OUT.write_text(document(), "utf-8")
    print(f"{len(texts())} texts in {OUT}")


if __name__ == "__main__":
    main()
