"""Sessions as earlier versions wrote them."""

import json
import re
from pathlib import Path

import pytest

import chronotome
from chronotome.errors import UnusableFile
from chronotome.files.session_file import load_session, save_session
from chronotome.session.edits.clips import split
from chronotome.session.edits.tightening import move_hit
from chronotome.session.history import History
from chronotome.session.metre import Metre, MetreMap
from strategies import simple_session, with_audio


def as_before(track):
    """A track in the shape that it had before clips were windows on takes."""
    clips = []
    for clip in track["clips"]:
        take = dict(clip["take"])
        markers = take.pop("touches")
        clips.append({"id": clip["id"], **take, "markers": markers})
    return {**track, "clips": clips}


@pytest.fixture
def saved(tmp_path):
    session, places = with_audio(simple_session([0, 6000, 12000], 20000), tmp_path)
    track = session.tracks[0]
    history = History(session).then(move_hit(session, track.id, track.clips[0].id, 2, 0.27), "Move hit")
    save_session(tmp_path / "ferry", history, places)
    return tmp_path / "ferry", history


def rewritten(folder: Path) -> None:
    document = json.loads((folder / "session.json").read_text())
    document["version"] = 1
    document["session"]["tracks"] = [as_before(track) for track in document["session"]["tracks"]]
    document["session"].update(kits=[], patterns=[], grooves=[])
    (folder / "session.json").write_text(json.dumps(document))
    lines = []
    for line in (folder / "history-1.jsonl").read_text().splitlines():
        entry = json.loads(line)
        if "track" in entry:
            entry["value"] = as_before(entry["value"])
        lines.append(json.dumps(entry) + "\n")
    (folder / "history-1.jsonl").write_text("".join(lines))


def test_a_session_of_the_version_before_opens_with_its_history_and_touches(saved):
    folder, history = saved
    rewritten(folder)

    opened = load_session(folder)

    assert opened.note is None
    assert opened.history.session == history.session
    assert [step.session for step in opened.history.past] == [step.session for step in history.past]
    (touch,) = opened.history.session.tracks[0].clips[0].take.touches
    assert (touch.onset, touch.beat) == (2, 0.27)


def test_the_metre_of_songs_that_had_one_is_read_from_where_it_stood(saved):
    folder, history = saved
    rewritten(folder)
    for path in (folder / "session.json", folder / "history-1.jsonl"):
        text = path.read_text()
        text = re.sub(r',\s*"metre_changes":\s*\[\]', "", text)
        assert "metre_changes" not in text
        path.write_text(
            re.sub(r'"metre":\s*\{"beats":\s*4,\s*"unit":\s*4\}', '"metre":{"beats":7,"unit":8}', text)
        )
    opened = load_session(folder)
    assert opened.note is None
    for session in (opened.history.session, opened.history.undone().session):
        assert session.metre == MetreMap(Metre(7, 8))
    assert opened.history.session.tracks == history.session.tracks


@pytest.mark.parametrize("clips", ["x", [7], [{"recording": 3}], [{"id": 1, "recording": "a" * 32}]])
def test_one_that_is_damaged_is_refused_in_a_line(saved, clips):
    folder, _ = saved
    rewritten(folder)
    document = json.loads((folder / "session.json").read_text())
    document["session"]["tracks"][0]["clips"] = clips
    (folder / "session.json").write_text(json.dumps(document))

    with pytest.raises(UnusableFile, match="is damaged") as told:
        load_session(folder)
    assert "\n" not in str(told.value)


def test_parts_of_one_take_have_one_take_again_after_reading(saved, tmp_path):
    folder, history = saved
    opened = load_session(folder)
    parts = split(history.session, history.session.tracks[0].id, [5000, 9000])
    save_session(tmp_path / "parts", History(history.session).then(parts, "Slice at"), opened.places)

    again = load_session(tmp_path / "parts").history

    for session in (again.session, again.past[0].session):
        assert len(session.tracks[0].takes) == 1
    assert len(again.session.tracks[0].clips) == 3


def test_no_code_takes_the_first_clip_for_the_track():
    sources = Path(chronotome.__file__).parent.rglob("*.py")
    found = [path.name for path in sources if re.search(r"\.clips\[(0|:1)\]", path.read_text())]
    assert not found
