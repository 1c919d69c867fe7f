package pied.e2e;

import com.microsoft.playwright.PlaywrightException;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/** Where a test fails, what stands on the sheet is said with it. */
final class Seen implements TestExecutionExceptionHandler {
  private static final int MOST = 2500;

  @Override
  public void handleTestExecutionException(ExtensionContext context, Throwable e) throws Throwable {
    Sheet sheet = ((OnTheSheet) context.getRequiredTestInstance()).sheet;
    if (sheet != null) {
      try {
        String text = sheet.page.locator("body").innerText().replaceAll("\\s*\\n\\s*", " | ");
        System.err.println(
            context.getDisplayName()
                + " failed; the sheet says: "
                + text.substring(0, Math.min(MOST, text.length())));
      } catch (PlaywrightException gone) {
        System.err.println(context.getDisplayName() + " failed; the sheet is gone: " + gone);
      }
    }
    throw e;
  }
}
