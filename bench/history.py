"""1,000 marks moved among 20,000 hits: how large journal and history are, how long save and open take.

./run exec python -m bench.history [MOVES]
"""

import sys
import time

import numpy as np
import soundfile

from bench.material import RATE, isolate
from chronotome.files.audio_file import facts_of
from chronotome.files.journal import Journal, recover
from chronotome.files.session_file import load_session, save_session
from chronotome.session.edits.marks import move_onset
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.history import History
from chronotome.session.model import Recording, Session
from chronotome.session.onsets import onsets_from

HITS = 20_000


def main() -> None:
    moves = int(sys.argv[1]) if len(sys.argv) > 1 else 1000
    home = isolate()
    total = HITS * 2000
    soundfile.write(home / "long.flac", np.zeros(total, np.int16), RATE)
    facts = facts_of(home / "long.flac")
    recording = Recording(facts.content, "long.flac", facts.rate, facts.frames, facts.channels)
    chance = np.random.default_rng(3)
    strengths, doubts = chance.uniform(20, 100, HITS), chance.uniform(0, 3, HITS)
    onsets = onsets_from(np.arange(HITS) * 2000 + 100, strengths, np.ones(HITS, np.int64), doubts)
    session = set_analysis(add_recording(Session(), recording, "long"), facts.content, onsets, None)
    history = History(session)
    places = {facts.content: home / "long.flac"}
    journal = Journal(home / "journals")
    journal.start(history, places, None)
    journal.flush()
    began = time.perf_counter()
    for onset in chance.permutation(HITS)[:moves].tolist():
        edited = move_onset(
            history.session, facts.content, onset + 1, onset * 2000 + int(chance.integers(0, 200))
        )
        history = history.then(edited, "Move mark")
        journal.happened("then", history)
    journal.flush()
    assert journal.path is not None
    print(
        f"{moves} moves of {HITS} hits: journal {journal.path.stat().st_size / 1e6:.1f} MB (bar 20), "
        f"edited and kept in {time.perf_counter() - began:.1f} s"
    )
    began = time.perf_counter()
    found = recover(journal.path)
    assert found is not None
    assert found.history.session == history.session
    print(f"journal read in {time.perf_counter() - began:.2f} s: {len(found.history.past)} steps")
    journal.finish()
    save_session(home / "saved", history, places)  # the recording is copied once
    began = time.perf_counter()
    save_session(home / "saved", history, {facts.content: home / "saved" / "audio" / "long.flac"})
    saved = time.perf_counter() - began
    began = time.perf_counter()
    opened = load_session(home / "saved")
    took = time.perf_counter() - began
    (ledger,) = (home / "saved").glob("history-*")
    assert opened.history.session == history.session
    print(
        f"history {ledger.stat().st_size / 1e6:.1f} MB of {len(opened.history.past)} steps, "
        f"saved in {saved:.2f} s (bar 0.5), opened in {took:.2f} s (bar 1)"
    )


if __name__ == "__main__":
    main()
