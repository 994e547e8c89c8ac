"""Every text that is shown, for translators: docs/translations/chronotome.ts, read from the code itself.

./run exec python tools/make_words.py; a translation of it is made into assets/words/chronotome_XX.qm by `pyside6-lrelease`.
"""

import ast
from collections.abc import Iterator
from pathlib import Path
from xml.sax.saxutils import escape

from chronotome.ui.language import CONTEXT

SOURCE = Path(__file__).parents[1] / "src" / "chronotome"
OUT = Path(__file__).parents[1] / "docs" / "translations" / "chronotome.ts"


def texts_in(tree: ast.AST) -> Iterator[str]:
    """Of calls of `tr`, `trn` and `counted`, whose plural may be left to an s."""
    for node in ast.walk(tree):
        if not isinstance(node, ast.Call):
            continue
        name = getattr(node.func, "id", getattr(node.func, "attr", ""))
        said = [each.value for each in node.args if isinstance(each, ast.Constant) and isinstance(each.value, str)]
        if name == "tr" and said and isinstance(node.args[0], ast.Constant):
            yield str(node.args[0].value)
        elif name in {"counted", "trn"}:
            yield from said
            if len(said) == 1:
                yield f"{said[0]}s"


def texts() -> dict[str, str]:
    """Each text, and the first file that says it."""
    found: dict[str, str] = {}
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
