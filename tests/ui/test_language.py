"""Words in other languages: all of them are asked for, values stay in their places, nothing is cut off."""

import ast
import json
import os
import re
import subprocess
import sys
from pathlib import Path
from string import Formatter

import pytest

from chronotome import words
from chronotome.ui import language
from chronotome.ui.language import pseudo, speak
from chronotome.words import speak_by, tr, trn
from make_words import SOURCE, document, texts

ROOT = Path(__file__).parents[2]


@pytest.fixture
def english():
    yield
    speak_by(words._english)
    language._spoken.clear()


def fields(text):
    return sorted(f"{name}:{spec}" for _, name, spec, _ in Formatter().parse(text) if name is not None)


def test_values_stand_where_the_text_says(english):
    assert tr("{0} of {1:.1f}", "a", 2.04) == "a of 2.0"
    assert tr("100 % {kept}") == "100 % {kept}"
    speak_by(
        {"{0} of {1}": "von {1} {0}", "clip": "Klipp", "clips": "Klipps", "{0} {1}": "{0} {1}"}.__getitem__
    )
    assert tr("{0} of {1}", 1, 2) == "von 2 1"
    assert [trn(number, "clip", "clips") for number in (1, 2)] == ["1 Klipp", "2 Klipps"]


@pytest.mark.parametrize(
    "text", ["Open…", "{0} of {1:.2f} ms", "<b>Shape</b> first", "WAV (*.wav)", "&Edit", "5 %"]
)
def test_the_made_up_language_is_longer_and_keeps_what_stands_for_values(text):
    made = pseudo(text)
    assert len(made) > len(text) or not re.search("[A-Za-z]{2}", text)
    assert fields(made) == fields(text)
    for kept in re.findall(r"<[^<>]*>|\(\*[^)]*\)", text):
        assert kept in made


def test_every_text_can_be_translated_and_keeps_its_values():
    every = texts()
    assert len(every) > 1500
    for text in every:
        assert fields(pseudo(text)) == fields(text), text
        numbers = [name for _, name, _, _ in Formatter().parse(text) if name]
        assert all(name[0].isdigit() or "{" not in text for name in numbers), text


def test_what_translators_get_is_what_the_code_says():
    kept = ROOT / "docs" / "translations" / "chronotome.ts"
    assert kept.read_text("utf-8") == document(), "./run exec python tools/make_words.py makes it anew"


def test_no_text_is_put_together_before_it_is_asked_for():
    """`tr(f"…")` would look for a text that nobody can have translated."""
    wrong = []
    for path in SOURCE.rglob("*.py"):
        for node in ast.walk(ast.parse(path.read_text("utf-8"))):
            is_tr = isinstance(node, ast.Call) and getattr(node.func, "id", "") == "tr"
            if is_tr and node.args and isinstance(node.args[0], ast.JoinedStr | ast.BinOp):
                wrong.append(f"{path.name}:{node.lineno}")
    assert not wrong


def test_no_sentence_is_said_without_being_asked_for():
    """Of the window: what the command line prints and what is written into files stays as it is."""
    wrong = []
    for path in [
        each for part in ("ui", "bridge", "files", "session") for each in (SOURCE / part).rglob("*.py")
    ]:
        tree = ast.parse(path.read_text("utf-8"))
        calls = [node for node in ast.walk(tree) if isinstance(node, ast.Call)]
        asked = {
            id(each)
            for call in calls
            if ast.unparse(call.func) in {"tr", "trn", "print"}
            for each in ast.walk(call)
        }
        asked |= {id(node.value) for node in ast.walk(tree) if isinstance(node, ast.Expr)}
        wrong += [
            f"{path.name}:{node.lineno}: {node.value}"
            for node in ast.walk(tree)
            if isinstance(node, ast.Constant) and id(node) not in asked
            if isinstance(node.value, str) and re.fullmatch(r"[A-Z“][^<>\n]* [^<>\n]*[a-z”]\.", node.value)
        ]
    assert not wrong


def test_a_language_that_is_not_there_is_english(english, monkeypatch):
    monkeypatch.setenv("CHRONOTOME_LANGUAGE", "../../etc/passwd")
    speak()
    speak("xx")
    assert tr("Open") == "Open"
    assert not language.spoken()
    speak("pseudo")
    assert tr("Open") == pseudo("Open")


def walked(*words):
    """What a walk through the window says of it."""
    env = {**os.environ, "QT_QPA_PLATFORM": "offscreen", "PYTHONPATH": os.pathsep.join(sys.path)}
    done = subprocess.run(
        [sys.executable, *words], env=env, capture_output=True, text=True, timeout=200, check=False
    )
    assert done.returncode == 0, done.stderr
    return json.loads(done.stdout.splitlines()[-1])


def test_in_another_language_all_is_asked_for(tmp_path):
    assert walked(str(ROOT / "tests" / "pseudo_walk.py"), str(tmp_path))["plain"] == []


@pytest.mark.parametrize(
    ("spoken", "sizes", "count"),
    [
        ("en", "1280x800,1024x700", 240),
        ("en", "1600x1000,1280x720", 240),
        ("pseudo", "1024x700", 120),
        ("rtl", "1280x800", 120),
    ],
)
def test_nothing_is_cut_off_and_nothing_overlaps_in_any_state(tmp_path, spoken, sizes, count):
    """1280x720 is what a screen of 2560x1440 has at twice the scale."""
    told = walked(str(ROOT / "tests" / "state_walk.py"), str(tmp_path), spoken, sizes)
    assert told["faults"] == {}
    assert told["count"] == count
