import subprocess
import sys

HEAVY = ("scipy", "mido")


def test_the_window_opens_without_what_takes_longer_than_it():
    code = (
        "import sys, chronotome.ui.application, chronotome.ui.window.main_window\n"
        f"print([name for name in {HEAVY} if name in sys.modules])"
    )

    told = subprocess.run([sys.executable, "-c", code], check=True, capture_output=True, text=True)

    assert told.stdout.strip() == "[]"
