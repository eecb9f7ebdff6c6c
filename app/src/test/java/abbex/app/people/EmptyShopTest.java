package abbex.app.people;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.ArgumentCaptor;
import org.mockito.InjectMocks;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;

/** An installation of one's own: the password is told once and must be changed. */
@ExtendWith(MockitoExtension.class)
class EmptyShopTest {
    @Mock
    private People people;

    @InjectMocks
    private EmptyShop shop;

    @Test
    void the_first_start_makes_one_lead() {
        UUID id = UUID.randomUUID();
        when(people.nobodyYet()).thenReturn(true);
        when(people.addShop(any())).thenReturn(id);
        String line = shop.signIn("");
        ArgumentCaptor<String> password = ArgumentCaptor.forClass(String.class);
        verify(people).add(eq(id), eq("lead"), any(), any(), eq(Role.LEAD), password.capture(), eq(true), any());
        assertEquals("lead / " + password.getValue(), line);
        assertTrue(password.getValue().matches("[a-z2-9]{4}-[a-z2-9]{4}-[a-z2-9]{4}"), line);
    }

    @Test
    void a_later_start_tells_no_password() {
        when(people.nobodyYet()).thenReturn(false);
        assertEquals("lead / (as set)", shop.signIn("lead / abcd-efgh-jkmn"));
        verify(people, never()).add(any(), any(), any(), any(), any(), any(), eq(true), any());
    }
}
