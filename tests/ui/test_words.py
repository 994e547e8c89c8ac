"""How Chronotome speaks, as far as a machine can tell: one word a thing, short, errors with a way out."""

import ast
import re
from pathlib import Path

import pytest

from make_words import texts_in

SOURCE = Path(__file__).parents[2] / "src" / "chronotome"
TREES = {path: ast.parse(path.read_text("utf-8")) for path in SOURCE.rglob("*.py")}
UNUSED = """
notch\\w*|recipes?|variants?|scatter\\w*|strokes?|proof|lens|hush\\w*|mend\\w*|candidates?
|seams?|crackles?|odds?|rulings?|taken? apart|as heard|as found|as measured|(left|leave) alone
|(sharing|share) place|frames at once|song files?|delay of the (hand|input)|cut out|catch range
|kept (aside|safe)|eras\\w+|chosen|picked|swept|sweeps?|taken? back|own recording|whole take
|sound files?|strips?
""".replace("\n", "")
"""Words that the glossary gave up."""
LONGEST = 72


def calls(*names):
    """Calls by these names: the file, and the call."""
    for path, tree in TREES.items():
        for node in ast.walk(tree):
            if (
                isinstance(node, ast.Call)
                and getattr(node.func, "attr", getattr(node.func, "id", "")) in names
            ):
                yield path, node


def said_in(node):
    """Texts that are shown by a call."""
    for each in ast.walk(node):
        if isinstance(each, ast.Call) and getattr(each.func, "id", "") == "tr" and each.args:
            first = each.args[0]
            if isinstance(first, ast.Constant):
                yield str(first.value)


def bare(text):
    """Without the places of values."""
    return re.sub(r"\{[^}]*\}", "", text)


@pytest.fixture(scope="module")
def texts():
    """All that is shown, but other trades' words, which are there to be found."""
    return {
        text: path.name
        for path, tree in TREES.items()
        if path.name != "synonyms.py"
        for text in texts_in(tree)
    }


def test_words_that_were_given_up_are_nowhere(texts):
    words = re.compile(rf"\b({UNUSED})\b", re.IGNORECASE)
    pages = {page.read_text("utf-8"): page.name for page in (SOURCE / "assets" / "manual").glob("*.md")}
    found = [
        (name, match[0]) for text, name in (texts | pages).items() for match in [words.search(text)] if match
    ]
    assert found == []


def test_what_the_status_line_says_is_short(texts):
    """Told sentences, hints, and what actions need."""
    told = {text for _, call in calls("say", "hint", "_say") for text in said_in(call)}
    told |= {
        text
        for tree in TREES.values()
        for node in ast.walk(tree)
        if isinstance(node, ast.Assign) and "hint" in ast.unparse(node.targets[0])
        for text in said_in(node.value)
    }
    told |= {text for text in texts if text.startswith("Needs ")}
    assert len(told) > 200
    assert [text for text in told if len(bare(text).partition("\n")[0]) > LONGEST] == []


def test_errors_say_what_happened_and_then_what_to_do():
    """A file's own: its name, what is wrong with it, and a sentence with a full stop."""
    ways = {"UnusableFile", "CannotWrite", "WrongFile"}
    found = 0
    for path, call in calls(*ways):
        if len(call.args) < 3:
            continue
        found += 1
        for text in said_in(call.args[2]):
            assert text[0].isupper(), (path.name, text)
            assert text.endswith("."), (path.name, text)
        for text in said_in(call.args[1]):
            assert not text.endswith("."), (path.name, text)
            assert text[0].islower() or text[0] in "{“", (path.name, text)
    assert found > 40


def test_texts_have_true_signs_and_no_riddles(texts):
    """Typographic quotes and ellipsis; no sentence begins with What; a number stands off from its unit."""
    wrong = [
        (name, text)
        for text, name in texts.items()
        if re.search(r"(?<![<=\w])'|\.\.\.|^What |\d(ms|dB|kHz|bpm)\b|\}(ms|dB|kHz|bpm|%)", text)
    ]
    assert wrong == []
